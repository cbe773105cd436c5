//! Finds the files to be read: the repository's own ignore files are respected, what is vendored,
//! generated or minified is left out and counted.

use std::collections::BTreeMap;
use std::io::Read;
use std::path::{Path, PathBuf};

use globset::{Glob, GlobSet, GlobSetBuilder};
use ignore::WalkBuilder;
use vinequill_core::languages;
use vinequill_core::reading::Language;
use vinequill_core::settings::Settings;

use crate::Decoded;
use crate::config::FILE_NAME;
use crate::generated::is_generated_name;

/// What to look for.
#[derive(Clone, Debug, Default)]
pub struct Selection {
    /// Only these languages, by id; all when empty.
    pub languages: Vec<String>,
    /// Globs of paths, relative to the project, to leave out.
    pub exclude: Vec<String>,
    /// Globs that bring back what is left out by default.
    pub include: Vec<String>,
}

/// A file to be read.
#[derive(Clone, Debug)]
pub struct Found {
    /// Where it is.
    pub path: PathBuf,
    /// Its path relative to the project, with `/`.
    pub shown: String,
    /// Its language.
    pub language: &'static Language,
    /// It was named itself, not found in a folder.
    pub named: bool,
    /// Two languages share its ending and only this one was asked for: the content decides.
    pub only: Option<&'static str>,
    /// Its text, where it is not to be read from disk.
    pub given: Option<Decoded>,
}

/// Files that were left out, by reason.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct Left {
    /// In folders of other people's code.
    pub vendored: u64,
    /// Generated or minified.
    pub generated: u64,
    /// By the configuration.
    pub excluded: u64,
    /// Folders with a configuration of their own.
    pub configured: Vec<PathBuf>,
    /// With endings that no language reads; only when nothing else was found do they matter.
    pub unknown: BTreeMap<String, u64>,
}

/// A path or pattern that cannot be used.
#[derive(Debug, thiserror::Error)]
#[non_exhaustive]
pub enum WalkFailure {
    /// There is nothing at a path.
    #[error("{}: there is no such file or folder", .0.display())]
    Missing(PathBuf),
    /// A glob does not compile.
    #[error("`{pattern}` is no valid pattern")]
    Pattern {
        /// The pattern.
        pattern: String,
        /// Why.
        source: globset::Error,
    },
}

/// Folders of other people's code.
const VENDORED: &[&str] = &["vendor", "third_party", "node_modules"];

/// Decides which files are read.
pub(crate) struct Filter<'a> {
    exclude: GlobSet,
    include: GlobSet,
    selection: &'a Selection,
    settings: &'a Settings,
}

/// Finds the files under `paths`, sorted by path; also returns what was left out, and folders that could
/// not be entered.
///
/// # Errors
/// [`WalkFailure`] when a path is not there or a pattern does not compile.
pub fn find_files(
    root: &Path,
    paths: &[PathBuf],
    selection: &Selection,
    settings: &Settings,
) -> Result<(Vec<Found>, Left, Vec<String>), WalkFailure> {
    let filter = Filter::of(selection, settings)?;
    let (mut found, mut left, mut refused) = (Vec::new(), Left::default(), Vec::new());
    for path in paths {
        if std::fs::symlink_metadata(path).is_err() {
            return Err(WalkFailure::Missing(path.clone()));
        }
        if path.is_file() {
            take(root, path, true, &filter, (&mut found, &mut left));
            continue;
        }
        let walk = WalkBuilder::new(path)
            .git_global(false)
            .git_exclude(false)
            .require_git(false)
            .follow_links(false)
            .build();
        for entry in walk {
            match entry {
                Ok(entry) if entry.file_type().is_some_and(|kind| kind.is_file()) => {
                    if entry.file_name() == FILE_NAME {
                        left.configured.extend(entry.path().parent().map(Path::to_owned));
                    }
                    take(root, entry.path(), false, &filter, (&mut found, &mut left));
                }
                Ok(_) => {}
                Err(error) => refused.push(error.to_string()),
            }
        }
    }
    found.sort_by(|a, b| a.shown.cmp(&b.shown));
    found.dedup_by(|a, b| a.shown == b.shown);
    Ok((found, left, refused))
}

impl<'a> Filter<'a> {
    /// Compiles what was asked for.
    pub(crate) fn of(selection: &'a Selection, settings: &'a Settings) -> Result<Self, WalkFailure> {
        Ok(Self {
            exclude: globs(&selection.exclude)?,
            include: globs(&selection.include)?,
            selection,
            settings,
        })
    }

    /// Decides on a file that may not be on disk.
    pub(crate) fn of_revision(&self, path: &Path, shown: &str, named: bool) -> Option<Found> {
        let name = shown.rsplit('/').next().unwrap_or_default();
        let language = self.settings.language_of_file(name)?;
        self.admit(path, (shown.to_owned(), language), named, &mut Left::default())
    }

    /// Decides on a file whose language is known; counts one that is left out.
    fn admit(
        &self,
        path: &Path,
        (shown, language): (String, &'static Language),
        named: bool,
        left: &mut Left,
    ) -> Option<Found> {
        let name = shown.rsplit('/').next().unwrap_or_default();
        let chosen = &self.selection.languages;
        // A header may turn out to be of C++ when it is read.
        let may_be = |id: &str| {
            id == language.id.as_str() || (id == "cpp" && name.to_ascii_lowercase().ends_with(".h"))
        };
        if !chosen.is_empty() && !chosen.iter().any(|id| may_be(id)) {
            return None;
        }
        if !named && !self.include.is_match(&shown) {
            if self.exclude.is_match(&shown) {
                left.excluded += 1;
                return None;
            }
            let mut folders = shown.split('/').rev().skip(1);
            if folders.any(|folder| VENDORED.contains(&folder)) {
                left.vendored += 1;
                return None;
            }
            if is_generated_name(name) {
                left.generated += 1;
                return None;
            }
        }
        let shared = !chosen.is_empty() && name.to_ascii_lowercase().ends_with(".h");
        let only = match (shared, may_be_chosen(chosen, "c"), may_be_chosen(chosen, "cpp")) {
            (true, true, false) => Some("c"),
            (true, false, true) => Some("cpp"),
            _ => None,
        };
        Some(Found { path: path.to_owned(), shown, language, named, only, given: None })
    }
}

fn globs(patterns: &[String]) -> Result<GlobSet, WalkFailure> {
    let wrong = |pattern: &str| {
        let pattern = pattern.to_owned();
        move |source| WalkFailure::Pattern { pattern, source }
    };
    let mut builder = GlobSetBuilder::new();
    for pattern in patterns {
        builder.add(Glob::new(pattern).map_err(wrong(pattern))?);
    }
    builder.build().map_err(wrong(&patterns.join(", ")))
}

fn take(
    root: &Path,
    path: &Path,
    named: bool,
    filter: &Filter<'_>,
    (found, left): (&mut Vec<Found>, &mut Left),
) {
    let shown = shown_path(root, path);
    let name = shown.rsplit('/').next().unwrap_or_default();
    let language = filter.settings.language_of_file(name).or_else(|| language_of_script(path, name));
    let Some(language) = language else {
        let ending = name.rsplit_once('.').map_or("without an ending", |(_, ending)| ending);
        *left.unknown.entry(ending.to_owned()).or_default() += 1;
        return;
    };
    found.extend(filter.admit(path, (shown, language), named, left));
}

/// Returns the language of a file without an ending, by the first line that runs it.
fn language_of_script(path: &Path, name: &str) -> Option<&'static Language> {
    if name.contains('.') {
        return None;
    }
    let mut start = Vec::new();
    let file = std::fs::File::open(path).ok()?;
    file.take(200).read_to_end(&mut start).ok()?;
    let line = start.split(|&byte| byte == b'\n').next()?;
    languages::for_first_line(std::str::from_utf8(line).ok()?)
}

fn may_be_chosen(chosen: &[String], id: &str) -> bool {
    chosen.iter().any(|one| one == id)
}

/// Returns a path relative to the project, with `/` between its parts.
pub(crate) fn shown_path(root: &Path, path: &Path) -> String {
    let relative = path.strip_prefix(root).unwrap_or(path);
    let relative = relative.strip_prefix(".").unwrap_or(relative);
    let parts: Vec<_> = relative.components().map(|part| part.as_os_str().to_string_lossy()).collect();
    parts.join("/").replace("//", "/")
}
