//! `vinequill coverage`

use std::collections::BTreeMap;
use std::path::PathBuf;

use clap::{Args, ValueEnum};
use vinequill_core::coverage::{Counts, permille};
use vinequill_project::{Reviewed, Texts};

use crate::exit::{Done, Exit};
use crate::options::change::ChangeOptions;
use crate::options::common::Common;
use crate::options::output::{Pair, deliver};
use crate::report;
use crate::session::Session;
use crate::terminal;

/// Options of `coverage`.
#[derive(Debug, Args)]
pub(crate) struct Coverage {
    /// Files and folders; the project when none are named
    paths: Vec<PathBuf>,
    /// What the table's rows are
    #[arg(long, value_name = "WHAT", value_enum, default_value_t = By::Folder)]
    by: By,
    /// Fail when fewer declarations are described, in percent
    #[arg(long, value_name = "N", value_parser = parse_percent)]
    floor: Option<f64>,
    /// Fail when fewer declarations are complete, in percent
    #[arg(long, value_name = "N", value_parser = parse_percent)]
    complete_floor: Option<f64>,
    /// Form of the report
    #[arg(long, value_name = "F", value_enum, num_args = 1)]
    format: Vec<Format>,
    /// File to write the report to
    #[arg(short = 'o', long = "output", value_name = "FILE", num_args = 1)]
    output: Vec<PathBuf>,
    #[command(flatten)]
    change: ChangeOptions,
    #[command(flatten)]
    common: Common,
}

/// What the rows of the table are.
#[derive(Clone, Copy, Debug, PartialEq, Eq, ValueEnum)]
pub(crate) enum By {
    /// Folders
    Folder,
    /// Files
    File,
    /// Languages
    Language,
    /// Kinds of declarations
    Kind,
}

/// A form of the report.
#[derive(Clone, Copy, Debug, PartialEq, Eq, ValueEnum)]
enum Format {
    /// A table with bars, for people
    Text,
    /// For programs
    Json,
}

impl By {
    /// Returns the word used in JSON.
    pub(crate) const fn as_str(self) -> &'static str {
        match self {
            Self::Folder => "folder",
            Self::File => "file",
            Self::Language => "language",
            Self::Kind => "kind",
        }
    }
}

fn parse_percent(text: &str) -> Result<f64, String> {
    let number: f64 =
        text.trim_end_matches('%').parse().map_err(|_| "it is a number from 0 to 100".to_owned())?;
    if (0.0..=100.0).contains(&number) { Ok(number) } else { Err("it is a number from 0 to 100".to_owned()) }
}

impl Coverage {
    /// Measures and reports.
    pub(crate) fn run(&self, pairs: &[Pair]) -> Done {
        let mut session = Session::open(&self.common, &self.paths)?;
        session.narrow(&self.change, false)?;
        let visited = session.review(&self.common, Texts::NotNeeded)?;
        let (total, groups) = group(&visited.files, self.by, &session);
        let left = session.left_out(&visited.turned_out());
        for pair in pairs {
            let text = match pair.format_as() {
                Some(Format::Json) => report::json::coverage(total, self.by.as_str(), &groups),
                Some(Format::Text) | None => report::coverage::render(total, self.by, &groups, &left),
            };
            deliver(pair.file.as_deref(), &text)?;
        }
        let exit = session.complain(visited.unread.iter());
        Ok(exit.max(self.floors(&session, &visited.files, total)))
    }

    /// Tells of floors that were missed: of all, and of the folders that have one of their own.
    fn floors(&self, session: &Session, files: &[Reviewed], total: Counts) -> Exit {
        let settings = &session.project.settings;
        let mut exit = self
            .floor
            .or(settings.floor)
            .map_or(Exit::Clean, |floor| check_floor(floor, (total.described, total.declared), "described"));
        if let Some(floor) = self.complete_floor.or(settings.complete_floor) {
            exit = exit.max(check_floor(floor, (total.complete, total.declared), "complete"));
        }
        for (folder, floor) in &settings.folder_floors {
            let folder = folder.trim_start_matches("./").trim_end_matches('/');
            let below = |path: &str| path.strip_prefix(folder).is_some_and(|rest| rest.starts_with('/'));
            let mut counts = Counts::default();
            for file in files.iter().filter(|file| below(file.source.path())) {
                file.tallies.iter().for_each(|tally| counts.add(tally.counts));
            }
            let what = format!("described in {folder}");
            exit = exit.max(check_floor(*floor, (counts.described, counts.declared), &what));
        }
        exit
    }
}

/// Tells when a share, of nothing or more, is below a floor in percent.
fn check_floor(floor: f64, (part, whole): (u64, u64), what: &str) -> Exit {
    let Some(tenths) = permille(part, whole) else { return Exit::Clean };
    #[expect(clippy::cast_precision_loss, reason = "counts of declarations")]
    let share = part as f64 * 100.0 / whole as f64;
    if share >= floor {
        return Exit::Clean;
    }
    terminal::complain(&format!("{}.{} % {what}, below the floor of {floor} %", tenths / 10, tenths % 10));
    Exit::Found
}

/// Groups the numbers; worst first where people read them, that is, least complete.
fn group(files: &[Reviewed], by: By, session: &Session) -> (Counts, Vec<(String, Counts)>) {
    let mut total = Counts::default();
    let mut groups: BTreeMap<String, Counts> = BTreeMap::new();
    for file in files {
        let path = session.typed_path(file.source.path());
        for tally in &file.tallies {
            let name = match by {
                By::Folder => path.rsplit_once('/').map_or(".", |(folder, _)| folder).to_owned(),
                By::File => path.clone(),
                By::Language => file.language.to_owned(),
                By::Kind => tally.kind.as_str().to_owned(),
            };
            groups.entry(name).or_default().add(tally.counts);
            total.add(tally.counts);
        }
    }
    (total, groups.into_iter().collect())
}
