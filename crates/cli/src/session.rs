//! What every command that reads source does first: find the project, its settings and the files.

use std::collections::{BTreeMap, HashMap};
use std::path::{Path, PathBuf};

use anyhow::Context;
use vinequill_core::model::Finding;
use vinequill_core::reading::Language;
use vinequill_core::review::FileReading;
use vinequill_core::settings::Settings;
use vinequill_core::text::nearest;
use vinequill_project::{
    ACCEPTED_FILE, Accepted, Cache, ConfigSource, Configured, Decoded, Found, InRevision, Left, Nested,
    Repository, Reviewed, Room, Selection, Since, Texts, Touched, Unread, Work, configure, decode,
    find_files, read_alone, review_files, stale_in_history, visit_files,
};

use crate::exit::{Exit, Failure};
use crate::options::change::ChangeOptions;
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
    /// What a change touches, where the run is about one, and what the change is called.
    change: Option<(Touched, String)>,
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
    /// What was accepted and is not found any more.
    pub(crate) gone: Accepted,
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
        let mut out = Self { files: Vec::new(), unread: Vec::new(), gone: Accepted::default() };
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
        let (files, around) = match common.shard {
            None => (files, around),
            Some(shard) => {
                let (own, others): (Vec<Found>, Vec<Found>) =
                    files.into_iter().partition(|file| shard.holds(&file.shown));
                (own, around.into_iter().chain(others).collect())
            }
        };
        let configured = left.configured.iter().chain(&others);
        let nested = nested(common, &project, configured, &reviewed)?;
        let cache = if common.no_cache {
            None
        } else {
            Cache::open(common.cache.as_deref(), &project.root, &deciding(common, &project, &nested))
        };
        Ok(Self { project, files, around, nested, left, change: None, cache, refused, cwd: cwd.to_owned() })
    }

    /// Narrows the run to what a change touches, where one is asked for. What is staged takes the place of what
    /// stands on disk, unless `edits` are to be made there.
    pub(crate) fn narrow(&mut self, options: &ChangeOptions, edits: bool) -> Result<(), Failure> {
        let Some(since) = options.compared() else { return Ok(()) };
        let repository = Repository::around(&self.project.root).map_err(Failure::usage)?;
        let changes = repository.changes(&since, &self.files).map_err(Failure::usage)?;
        if since == Since::Staged && !edits {
            for change in changes.iter().filter(|change| change.staged.is_some()) {
                let Ok(at) = self.files.binary_search_by(|file| file.shown.cmp(&change.path)) else {
                    continue;
                };
                let settings = self.nested.for_file(&self.files[at].path).unwrap_or(&self.project.settings);
                let label = settings.language(self.files[at].language.id).encoding.as_deref();
                self.files[at].given = change.staged.clone().and_then(|bytes| decode(bytes, label));
            }
        }
        let name = match &since {
            Since::Revision(rev) => format!("since {rev}"),
            Since::Staged => "staged".to_owned(),
        };
        let said = if since == Since::Staged { "in what is staged" } else { &name };
        let settings = (&self.project.settings, &self.nested);
        let touched = Touched::of((&changes, said), &self.files, settings);
        // The others still tell what they know.
        let (told, others) = self.files.drain(..).partition(|file| touched.has_file(&file.shown));
        self.files = told;
        self.around.extend::<Vec<Found>>(others);
        self.change = Some((touched, name));
        Ok(())
    }

    /// Returns what the change is called that the run is about.
    pub(crate) fn change_name(&self) -> Option<&str> {
        self.change.as_ref().map(|(_, name)| name.as_str())
    }

    /// Tells whether the run is about the declaration whose name stands at an offset of a file.
    pub(crate) fn is_about(&self, path: &str, name: u32) -> bool {
        self.change.as_ref().is_none_or(|(touched, _)| touched.has(path, name))
    }

    /// Returns where the file of accepted findings is, and whether the configuration says so.
    pub(crate) fn accepted_file(&self) -> (PathBuf, bool) {
        let named = self.project.config.accepted.as_deref();
        let folder = self.project.file.as_deref().and_then(Path::parent).unwrap_or(&self.project.root);
        match named {
            Some(name) => (folder.join(name), true),
            None => (self.project.root.join(ACCEPTED_FILE), false),
        }
    }

    /// Reads the accepted findings; nothing where there is no file of them.
    pub(crate) fn accepted(&self) -> Result<Option<Accepted>, Failure> {
        Accepted::read(&self.accepted_file().0).map_err(Failure::usage)
    }

    /// Tells whether findings are compared with accepted ones.
    pub(crate) fn compares(&self) -> Result<bool, Failure> {
        Ok(self.accepted()?.is_some())
    }

    /// Reviews, adds comments that were left behind, and marks what was accepted before. `history` looks for such
    /// comments in all of the history, not only in a change.
    pub(crate) fn review_with_accepted(
        &self,
        common: &Common,
        history: bool,
    ) -> Result<Visited<Reviewed>, Failure> {
        let accepted = self.accepted()?;
        let mut visited = self.review_whole(common, Texts::Needed)?;
        let stale = if history { self.stale_in_history()? } else { HashMap::new() };
        let room = Room::default();
        for reviewed in &mut visited.files {
            let path = reviewed.text.path().to_owned();
            let found = match &self.change {
                Some((touched, _)) => touched.stale(&path),
                None => stale.get(&path).map_or(&[][..], Vec::as_slice),
            };
            let Ok(at) = self.files.binary_search_by(|file| file.shown.as_str().cmp(&path)) else { continue };
            let settings = self.nested.for_file(&self.files[at].path).unwrap_or(&self.project.settings);
            reviewed.add(found, (&self.files[at], settings), &room);
        }
        if let Some(accepted) = accepted {
            visited.gone = accepted.mark(&mut visited.files, &self.exists());
        }
        self.restrict(&mut visited);
        Ok(visited)
    }

    /// Marks what was accepted before.
    pub(crate) fn mark_accepted(&self, files: &mut [Reviewed]) -> Result<(), Failure> {
        if let Some(accepted) = self.accepted()? {
            accepted.mark(files, &self.exists());
        }
        Ok(())
    }

    fn exists(&self) -> impl Fn(&str) -> bool {
        |path: &str| self.project.root.join(path).is_file()
    }

    fn stale_in_history(&self) -> Result<HashMap<String, Vec<Finding>>, Failure> {
        let repository = Repository::around(&self.project.root).map_err(Failure::usage)?;
        let now = jiff::Timestamp::now().as_second();
        let settings = (&self.project.settings, &self.nested);
        stale_in_history(&repository, &self.files, settings, (now, self.cache.as_ref()))
            .map_err(Failure::usage)
    }

    /// Leaves of the review of a file what the run is about.
    pub(crate) fn restrict_one(&self, file: &mut Reviewed) {
        if let Some((touched, _)) = &self.change {
            touched.restrict(file);
        }
    }

    /// Reviews the files as a revision had them, in the same folders and by the same standard; tells as well what
    /// files were called then, by the names that they have now.
    pub(crate) fn review_revision(
        &self,
        common: &Common,
        paths: &[PathBuf],
        rev: &str,
    ) -> Result<(Vec<Reviewed>, HashMap<String, String>), Failure> {
        let repository = Repository::around(&self.project.root).map_err(Failure::usage)?;
        let commit = repository.commit(rev).map_err(Failure::usage)?;
        let settings = &self.project.settings;
        let found = self.with_wanted(common, paths, |wanted, _| repository.found_in(commit, wanted));
        let found = found.map_err(Failure::usage)?;
        let own = |file: &Found| self.nested.for_file(&file.path).unwrap_or(settings);
        let mut files = Vec::with_capacity(found.len());
        for (file, blob) in &found {
            let read = repository.with_text((file, *blob), own(file));
            files.extend(read.map_err(|error| Failure::Io(error.into()))?);
        }
        files.retain(|file| common.shard.is_none_or(|shard| shard.holds(&file.shown)));
        let (nested, jobs, texts) = (&self.nested, common.jobs, Texts::NotNeeded);
        let work = Work { files: &files, around: &[], settings, nested, jobs, cache: None, texts };
        let renamed = repository.renamed_since(commit, &self.files).map_err(Failure::usage)?;
        Ok((Visited::of(review_files(work).0).files, renamed))
    }

    /// Calls `run` with which files of a revision count, and the settings of folders.
    pub(crate) fn with_wanted<T>(
        &self,
        common: &Common,
        paths: &[PathBuf],
        run: impl FnOnce(&InRevision<'_>, &Nested) -> T,
    ) -> T {
        let selection = self.selection(common);
        let named: Vec<PathBuf> = paths.iter().map(|path| normal(&self.cwd.join(path))).collect();
        let paths = if named.is_empty() { default_paths(&self.project) } else { named };
        let (root, settings) = (&self.project.root, &self.project.settings);
        run(&InRevision { root, paths: &paths, selection: &selection, settings }, &self.nested)
    }

    /// Returns what is looked for besides paths.
    fn selection(&self, common: &Common) -> Selection {
        Selection {
            languages: common.languages.clone(),
            exclude: self.project.config.exclude.clone(),
            include: common.include.clone(),
        }
    }

    fn restrict(&self, visited: &mut Visited<Reviewed>) {
        if let Some((touched, _)) = &self.change {
            visited.files.iter_mut().for_each(|file| touched.restrict(file));
            // What a change does not touch is not looked for.
            visited.gone = Accepted::default();
        }
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
        let mut visited = self.review_whole(common, texts)?;
        self.restrict(&mut visited);
        Ok(visited)
    }

    fn review_whole(&self, common: &Common, texts: Texts) -> Result<Visited<Reviewed>, Failure> {
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
        self.read_found(self.files.iter().chain(&self.around).find(|file| file.shown == path)?)
    }

    /// Reads a file of the project by itself.
    pub(crate) fn read_found(&self, file: &Found) -> Option<FileReading<'_>> {
        read_alone(file, self.nested.for_file(&file.path).unwrap_or(&self.project.settings))
    }

    /// Returns the files of the project below a folder, by its path in it, that are in a language or may be.
    pub(crate) fn below(&self, folder: &str, language: &Language) -> Vec<&Found> {
        let inside = |file: &&Found| {
            let rest = file.shown.strip_prefix(folder);
            file.language.family == language.family
                && rest.is_some_and(|rest| folder.is_empty() || rest.starts_with('/'))
        };
        let mut found: Vec<&Found> = self.files.iter().chain(&self.around).filter(inside).collect();
        found.sort_by(|a, b| a.shown.cmp(&b.shown));
        found
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

    /// Returns a path as people type it from the working folder.
    pub(crate) fn shown_from_here(&self, path: &Path) -> String {
        relative(&self.cwd, &self.cwd.join(path))
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
