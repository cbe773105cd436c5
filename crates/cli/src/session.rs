//! What every command that reads source does first: find the project, its settings and the files.

use std::collections::BTreeMap;
use std::path::{Path, PathBuf};

use anyhow::Context;
use vinequill_core::review::FileReading;
use vinequill_core::settings::Settings;
use vinequill_core::text::nearest;
use vinequill_project::{
    Cache, ConfigSource, Configured, Decoded, Found, Left, Nested, Reviewed, Selection, Texts, Unread, Work,
    configure, decode, find_files, read_alone, review_files, visit_files,
};

use crate::exit::{Exit, Failure};
use crate::options::common::Common;
use crate::terminal;

/// A project, and the files of it that a command is about.
pub(crate) struct Session {
    /// The project with its settings.
    pub(crate) project: Configured,
    /// The files, sorted.
    pub(crate) files: Vec<Found>,
    /// The other files of the project: what they know counts, and nothing is told of them.
    around: Vec<Found>,
    /// What holds in folders that have a configuration of their own.
    nested: Nested,
    /// What was left out.
    pub(crate) left: Left,
    /// What was found out before.
    cache: Option<Cache>,
    /// Folders that could not be entered.
    refused: Vec<String>,
    /// The working folder.
    cwd: PathBuf,
}

/// What came of reading files.
pub(crate) struct Visited<T> {
    /// One result for each file that was read, in their order.
    pub(crate) files: Vec<T>,
    /// The others.
    pub(crate) unread: Vec<Unread>,
}

/// Files that turned out to be none to review once they were read.
#[derive(Default)]
pub(crate) struct TurnedOut {
    /// Marked as generated.
    generated: u64,
    /// In languages that cannot be read, by language.
    foreign: BTreeMap<&'static str, u64>,
}

impl<T> Visited<T> {
    fn of(results: Vec<Result<T, Unread>>) -> Self {
        let mut out = Self { files: Vec::new(), unread: Vec::new() };
        for result in results {
            match result {
                Ok(file) => out.files.push(file),
                Err(error) => out.unread.push(error),
            }
        }
        out
    }

    /// Counts the files that turned out to be none to review, by what they are.
    pub(crate) fn turned_out(&self) -> TurnedOut {
        let mut out = TurnedOut::default();
        for unread in &self.unread {
            match unread {
                Unread::Generated => out.generated += 1,
                Unread::Foreign(language) => *out.foreign.entry(language).or_default() += 1,
                Unread::Failed(_) | Unread::OtherLanguage => {}
            }
        }
        out
    }
}

impl Session {
    /// Opens the project around `paths` (or the working folder) and finds its files.
    pub(crate) fn open(common: &Common, paths: &[PathBuf]) -> Result<Self, Failure> {
        common.color.apply();
        let cwd = std::env::current_dir().context("the working folder is not there").map_err(Failure::Io)?;
        Self::open_in(common, paths, &cwd)
    }

    /// As `open`, with `cwd` as the working folder.
    pub(crate) fn open_in(common: &Common, paths: &[PathBuf], cwd: &Path) -> Result<Self, Failure> {
        let paths: Vec<PathBuf> = paths.iter().map(|path| normal(&cwd.join(path))).collect();
        for path in &paths {
            if std::fs::symlink_metadata(path).is_err() {
                return Err(Failure::usage(anyhow::anyhow!(
                    "{}: there is no such file or folder",
                    path.display()
                )));
            }
        }
        let folder = |path: &PathBuf| {
            if path.is_dir() { path.clone() } else { path.parent().unwrap_or(cwd).to_owned() }
        };
        // Inside the project around the working folder, one file is looked at as all of it is.
        let around = vinequill_project::nearest_project(cwd)
            .filter(|root| !paths.is_empty() && paths.iter().all(|path| path.starts_with(root)));
        let start = &around.unwrap_or_else(|| paths.first().map_or(cwd.to_owned(), folder));
        let mut project =
            configure(start, &common.config_source(), &common.overrides()).map_err(Failure::usage)?;
        check_languages(&common.languages, &project.settings)?;
        let is_project = vinequill_project::nearest_project(start).is_some();
        if !is_project {
            // Without configuration or repository the working folder is the project.
            project.root = if paths.iter().all(|path| path.starts_with(cwd)) {
                cwd.to_owned()
            } else {
                start.to_owned()
            };
        }
        let reviewed = if paths.is_empty() { default_paths(&project) } else { paths };
        let selection = Selection {
            languages: common.languages.clone(),
            exclude: project.config.exclude.clone(),
            include: common.include.clone(),
        };
        let (files, left, refused) =
            find_files(&project.root, &reviewed, &selection, &project.settings).map_err(Failure::usage)?;
        // What is known comes from the whole project, and so do the configurations of its folders.
        let (around, others) = if is_project && reviewed != [project.root.clone()] {
            let all = Selection { languages: Vec::new(), ..selection };
            let root = std::slice::from_ref(&project.root);
            let (mut all, others, _) =
                find_files(&project.root, root, &all, &project.settings).map_err(Failure::usage)?;
            all.retain(|file| files.binary_search_by(|told| told.shown.cmp(&file.shown)).is_err());
            (all, others.configured)
        } else {
            (Vec::new(), Vec::new())
        };
        let configured = left.configured.iter().chain(&others);
        let nested = nested(common, &project, configured, &reviewed)?;
        let cache = if common.no_cache {
            None
        } else {
            Cache::open(common.cache.as_deref(), &project.root, &deciding(common, &project, &nested))
        };
        Ok(Self { project, files, around, nested, left, cache, refused, cwd: cwd.to_owned() })
    }

    /// Reads the files, or standard input where that is asked for, and calls `visit` with each.
    pub(crate) fn visit<T: Send>(
        &self,
        common: &Common,
        visit: impl Fn(&Found, &FileReading<'_>, &Decoded) -> T + Sync,
    ) -> Result<Visited<T>, Failure> {
        self.work(common, |work| visit_files(work, &visit))
    }

    /// Gathers what a run is about, and has it `done`.
    fn work<T>(
        &self,
        common: &Common,
        done: impl FnOnce(Work<'_>) -> Vec<Result<T, Unread>>,
    ) -> Result<Visited<T>, Failure> {
        let given = common.stdin_path.as_deref().map(|path| self.standard_input(path)).transpose()?;
        let (files, around) = match &given {
            Some(given) => {
                let rest = self.files.iter().chain(&self.around).filter(|file| file.shown != given.shown);
                (std::slice::from_ref(given), rest.cloned().collect())
            }
            None => (self.files.as_slice(), self.around.clone()),
        };
        let settings = &self.project.settings;
        let cache = self.cache.as_ref();
        let (nested, jobs, texts) = (&self.nested, common.jobs, Texts::Needed);
        let work = Work { files, around: &around, settings, nested, jobs, cache, texts };
        Ok(Visited::of(done(work)))
    }

    /// Reviews the files, or standard input where that is asked for.
    pub(crate) fn review(&self, common: &Common, texts: Texts) -> Result<Visited<Reviewed>, Failure> {
        self.work(common, |work| {
            let (results, note) = review_files(Work { texts, ..work });
            if let Some(note) = note {
                terminal::remark(&note);
            }
            results
        })
    }

    /// Puts what is only known where the program runs into what a draft writes.
    pub(crate) fn fill_in(&mut self, known: &[(&str, String)]) {
        self.project.settings.fill_in(known);
        self.nested.fill_in(known);
    }

    /// Reads another file of the project by its path in it.
    pub(crate) fn read_another(&self, path: &str) -> Option<FileReading<'_>> {
        let file = self.files.iter().chain(&self.around).find(|file| file.shown == path)?;
        read_alone(file, self.nested.for_file(&file.path).unwrap_or(&self.project.settings))
    }

    /// Reads one file from standard input, as if it stood at `path`.
    fn standard_input(&self, path: &Path) -> Result<Found, Failure> {
        let mut bytes = Vec::new();
        std::io::Read::read_to_end(&mut std::io::stdin().lock(), &mut bytes)?;
        let shown = match relative(&self.project.root, &self.cwd.join(path)) {
            outside if outside.starts_with("..") => path.to_string_lossy().replace('\\', "/"),
            inside => inside,
        };
        let Some(language) = self.project.settings.language_of_file(&shown) else {
            return Err(Failure::usage(anyhow::anyhow!("{shown}: no language is known by this ending")));
        };
        let label = self.project.settings.language(language.id).encoding.as_deref();
        let Some(decoded) = decode(bytes, label) else {
            return Err(Failure::usage(anyhow::anyhow!(
                "{shown}: standard input is binary, not source text"
            )));
        };
        Ok(Found {
            path: self.cwd.join(path),
            shown,
            language,
            named: true,
            only: None,
            given: Some(decoded),
        })
    }

    /// Returns a project path as people type it from the working folder.
    pub(crate) fn typed_path(&self, shown: &str) -> String {
        relative(&self.cwd, &self.project.root.join(shown))
    }

    /// Tells of files and folders that could not be read, and returns the exit they lead to.
    pub(crate) fn complain<'a>(&self, unread: impl Iterator<Item = &'a Unread>) -> Exit {
        let mut exit = Exit::Clean;
        for refused in &self.refused {
            terminal::complain(&format!("{refused}; left out"));
            exit = Exit::Incomplete;
        }
        for unread in unread {
            match unread {
                Unread::Failed(failure) => {
                    terminal::complain(&failure.to_string());
                    exit = Exit::Incomplete;
                }
                Unread::Generated | Unread::OtherLanguage | Unread::Foreign(_) => {}
            }
        }
        exit
    }

    /// Says what was not reviewed, empty when nothing was left out.
    pub(crate) fn left_out(&self, found: &TurnedOut) -> String {
        let mut parts = Vec::new();
        for (count, what) in [
            (self.left.vendored, "vendored"),
            (self.left.generated + found.generated, "generated"),
            (self.left.excluded, "excluded"),
        ] {
            if count > 0 {
                parts.push(format!("{count} {what}"));
            }
        }
        parts.extend(found.foreign.iter().map(|(language, count)| format!("{count} {language}")));
        if self.files.is_empty() {
            let mut unknown: Vec<_> = self.left.unknown.iter().collect();
            unknown.sort_by_key(|&(ending, &count)| (std::cmp::Reverse(count), ending));
            parts.extend(unknown.into_iter().take(3).map(|(ending, count)| match ending.as_str() {
                "without an ending" => format!("{count} {ending}"),
                ending => format!("{count} `.{ending}`"),
            }));
        }
        parts.join(", ")
    }
}

/// Reads the configurations of folders inside the project: those found, and those above what was named.
fn nested<'a>(
    common: &Common,
    project: &Configured,
    configured: impl Iterator<Item = &'a PathBuf>,
    reviewed: &[PathBuf],
) -> Result<Nested, Failure> {
    if !matches!(common.config_source(), ConfigSource::Nearest) {
        return Ok(Nested::default());
    }
    let above =
        reviewed.iter().flat_map(|path| path.ancestors()).filter(|dir| dir.starts_with(&project.root));
    let mut folders: Vec<PathBuf> = above
        .filter(|dir| dir.join("vinequill.toml").is_file())
        .map(Path::to_owned)
        .chain(configured.cloned())
        .collect();
    folders.sort();
    folders.dedup();
    let own = project.file.as_deref().and_then(Path::parent);
    folders.retain(|folder| Some(folder.as_path()) != own);
    Nested::read(&folders, &common.overrides()).map_err(Failure::usage)
}

/// All that decides what a review finds besides the files.
fn deciding(common: &Common, project: &Configured, nested: &Nested) -> Vec<u8> {
    let mut out = project.config.text.clone();
    out.push_str(&format!("\0{:?}\0", common.overrides()));
    for (folder, text) in nested.texts() {
        out.push_str(&format!("{}\0{text}\0", folder.display()));
    }
    out.into_bytes()
}

fn default_paths(project: &Configured) -> Vec<PathBuf> {
    if project.config.paths.is_empty() {
        return vec![project.root.clone()];
    }
    project.config.paths.iter().map(|path| project.root.join(path)).collect()
}

/// Takes `.` and `..` out of a path without asking the disk.
fn normal(path: &Path) -> PathBuf {
    let mut out = PathBuf::new();
    for part in path.components() {
        match part {
            std::path::Component::CurDir => {}
            std::path::Component::ParentDir => {
                out.pop();
            }
            part => out.push(part),
        }
    }
    out
}

/// Returns `path` relative to the folder `from`, with `/` between its parts.
fn relative(from: &Path, path: &Path) -> String {
    let (from, path) = (normal(from), normal(path));
    let common = from.components().zip(path.components()).take_while(|(a, b)| a == b).count();
    let ups = from.components().count() - common;
    let mut parts: Vec<String> = vec!["..".to_owned(); ups];
    parts.extend(path.components().skip(common).map(|part| part.as_os_str().to_string_lossy().into_owned()));
    parts.join("/")
}

fn check_languages(names: &[String], settings: &Settings) -> Result<(), Failure> {
    for name in names {
        if settings.find_language(name).is_none() {
            let ids = settings.languages().iter().map(|language| language.id.as_str());
            let hint = match nearest(name, ids.clone()) {
                Some(near) => format!("did you mean `{near}`?"),
                None => format!("it reads {}", ids.collect::<Vec<_>>().join(", ")),
            };
            return Err(Failure::usage(anyhow::anyhow!("no language is named `{name}`; {hint}")));
        }
    }
    Ok(())
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn paths_are_shown_from_the_working_folder() {
        assert_eq!(relative(Path::new("/a/b"), Path::new("/a/b/c.py")), "c.py");
        assert_eq!(relative(Path::new("/a/b/x"), Path::new("/a/b/c.py")), "../c.py");
    }
}
