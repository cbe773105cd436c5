//! `vinequill pages`

use std::collections::BTreeSet;
use std::path::{Path, PathBuf};

use anyhow::Context as _;
use clap::{Args, ValueEnum};
use rayon::iter::{IntoParallelRefIterator, ParallelIterator};
use vinequill_core::model::State;
use vinequill_core::review::review;
use vinequill_pages::{About, Addresses, FilePage, Moment, Site, assets, collect};
use vinequill_project::Reviewed;

use crate::commands::trend::by_month;
use crate::exit::{Done, Failure};
use crate::options::common::Common;
use crate::session::Session;
use crate::terminal;

/// What the folder of a site has: the names of all files that were written, one a line, so that the next run removes
/// those and nothing else.
const WRITTEN: &str = ".vinequill-pages";

/// As many months are shown of the history.
const MONTHS: usize = 12;

/// Options of `pages`.
#[derive(Debug, Args)]
pub(crate) struct Pages {
    /// Files and folders; the project when none are named
    paths: Vec<PathBuf>,
    /// Folder to write to: a new one, an empty one, or one with pages of an earlier run
    #[arg(short = 'o', long = "output", value_name = "DIR")]
    output: PathBuf,
    /// What the pages are
    #[arg(long, value_name = "F", value_enum, default_value_t)]
    format: Format,
    /// Open the first page
    #[arg(long)]
    open: bool,
    #[command(flatten)]
    common: Common,
}

/// What the pages are.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, ValueEnum)]
enum Format {
    /// A site that opens from disk
    #[default]
    Html,
    /// A file of Markdown for each source file
    Markdown,
}

impl Pages {
    /// Writes the pages.
    pub(crate) fn run(&self) -> Done {
        let mut folder = Folder::open(&self.output)?;
        let session = Session::open(&self.common, &self.paths)?;
        let bar = terminal::progress(session.files.len(), "files read");
        let visited = session.visit(&self.common, |_, reading, decoded| {
            bar.inc(1);
            let review = review(reading);
            let page = collect(reading, &review);
            (page, Reviewed::with(reading, (decoded.encoding, None), review))
        });
        bar.finish_and_clear();
        let visited = visited?;
        let left = session.left_out(&visited.turned_out());
        let exit = session.complain(visited.unread.iter());
        let (mut pages, mut reviewed): (Vec<FilePage>, Vec<Reviewed>) = visited.files.into_iter().unzip();
        session.mark_accepted(&mut reviewed)?;
        for (page, file) in pages.iter_mut().zip(&reviewed) {
            let accepted = file.findings.iter().enumerate();
            let accepted = accepted.filter(|(_, finding)| finding.state == State::Accepted);
            page.leave_out(&accepted.map(|(at, _)| at).collect::<Vec<_>>());
        }
        drop(reviewed);
        let pool =
            rayon::ThreadPoolBuilder::new().num_threads(self.common.jobs).build().map_err(Failure::usage)?;
        let mut about = About { title: title_of(&session.project.root), left, history: Vec::new() };
        let first = match self.format {
            Format::Html => {
                let history = by_month(&session, (&self.common, &self.paths), MONTHS)?;
                about.history = history.into_iter().map(|(day, counts)| Moment { day, counts }).collect();
                pool.install(|| write_site(&mut folder, &pages, &about))?;
                "index.html"
            }
            Format::Markdown => {
                pool.install(|| write_markdown(&mut folder, &mut pages, &about))?;
                "README.md"
            }
        };
        folder.close()?;
        if !self.common.quiet {
            let files = if pages.len() == 1 { "file" } else { "files" };
            let first = session.shown_from_here(&self.output.join(first));
            terminal::print(&format!("{} {files}; the first page is {first}\n", pages.len()))?;
        }
        if self.open {
            let path = self.output.join(first);
            open::that_detached(&path)
                .with_context(|| format!("{} was written, and nothing here opens it", path.display()))
                .map_err(Failure::Io)?;
        }
        Ok(exit)
    }
}

/// Writes the overview, the page of each file, and what they use.
fn write_site(folder: &mut Folder, pages: &[FilePage], about: &About) -> Result<(), Failure> {
    let addresses = Addresses::of(pages);
    let site = Site::of(pages, &addresses, about);
    let names =
        ["index.html", "names.js"].into_iter().chain(assets().map(|(name, _)| name)).map(str::to_owned);
    let folders = site.folders();
    folder.prepare(
        names
            .chain(folders.iter().map(|(address, _)| address.clone()))
            .chain(pages.iter().map(|page| page.address.clone())),
    )?;
    folder.put("index.html", &site.overview())?;
    folder.put("names.js", &site.search())?;
    for (name, text) in assets() {
        folder.put(name, text)?;
    }
    for (address, html) in &folders {
        folder.put(address, html)?;
    }
    write_each(folder, pages, |page| site.file(page))
}

/// Writes a file of Markdown for each source file, and one that leads to them.
fn write_markdown(folder: &mut Folder, pages: &mut [FilePage], about: &About) -> Result<(), Failure> {
    for page in pages.iter_mut() {
        page.address = format!("{}.md", page.address.trim_end_matches(".html"));
    }
    let addresses = Addresses::of(pages);
    let site = Site::of(pages, &addresses, about);
    folder.prepare(pages.iter().map(|page| page.address.clone()).chain(["README.md".to_owned()]))?;
    folder.put("README.md", &site.contents())?;
    write_each(folder, pages, |page| site.file_as_markdown(page))
}

/// Writes what each file has for itself.
fn write_each(
    folder: &Folder,
    pages: &[FilePage],
    render: impl Fn(&FilePage) -> String + Sync,
) -> Result<(), Failure> {
    let bar = terminal::progress(pages.len(), "pages written");
    pages.par_iter().try_for_each(|page| {
        bar.inc(1);
        folder.put(&page.address, &render(page))
    })?;
    bar.finish_and_clear();
    Ok(())
}

fn title_of(root: &Path) -> String {
    root.file_name().map_or("Project".to_owned(), |name| name.to_string_lossy().into_owned())
}

/// The folder that pages are written to.
struct Folder {
    path: PathBuf,
    /// What an earlier run wrote.
    before: BTreeSet<String>,
    written: BTreeSet<String>,
}

impl Folder {
    /// Opens a folder that is new, empty, or of an earlier run.
    fn open(path: &Path) -> Result<Self, Failure> {
        let refuse = |why: &str| {
            Err(Failure::usage(anyhow::anyhow!(
                "{}: {why}; name a new or an empty folder with -o",
                path.display()
            )))
        };
        if path.is_file() {
            return refuse("this is a file");
        }
        let before = match std::fs::read_to_string(path.join(WRITTEN)) {
            Ok(names) => names.lines().map(str::to_owned).collect(),
            Err(_) => {
                let is_empty = std::fs::read_dir(path).map_or(true, |mut entries| entries.next().is_none());
                if !is_empty {
                    return refuse("there are files in this folder that are not of these pages");
                }
                BTreeSet::new()
            }
        };
        Ok(Self { path: path.to_owned(), before, written: BTreeSet::new() })
    }

    /// Makes room for files of these names, and notes them before they are there: the run may be ended.
    fn prepare(&mut self, names: impl IntoIterator<Item = String>) -> Result<(), Failure> {
        self.written.extend(names);
        let parents = self.written.iter().filter_map(|name| Path::new(name).parent());
        for parent in parents.collect::<BTreeSet<_>>() {
            let parent = self.path.join(parent);
            std::fs::create_dir_all(&parent)
                .with_context(|| format!("{}: the folder cannot be made", parent.display()))
                .map_err(Failure::Io)?;
        }
        self.note(self.before.union(&self.written))
    }

    fn note<'n>(&self, names: impl Iterator<Item = &'n String>) -> Result<(), Failure> {
        self.put(WRITTEN, &names.map(|name| format!("{name}\n")).collect::<String>())
    }

    fn put(&self, name: &str, text: &str) -> Result<(), Failure> {
        let path = self.path.join(name);
        std::fs::write(&path, text)
            .with_context(|| format!("{}: cannot be written", path.display()))
            .map_err(Failure::Io)
    }

    /// Removes what an earlier run wrote and this one did not, and notes what was written.
    fn close(self) -> Result<(), Failure> {
        for name in self.before.difference(&self.written) {
            // A name that leads out of the folder was not written by us.
            if Path::new(name).components().all(|part| matches!(part, std::path::Component::Normal(_))) {
                // What is gone already needs no removing.
                let _ = std::fs::remove_file(self.path.join(name));
            }
        }
        self.note(self.written.iter())
    }
}
