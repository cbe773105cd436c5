//! Comments that are older than the signatures they stand on, over all of the history.

use std::collections::{HashMap, HashSet};
use std::sync::{Mutex, PoisonError};

use rayon::prelude::*;
use vinequill_core::change::{Shape, shapes};
use vinequill_core::model::{DeclId, Finding, Level};
use vinequill_core::reading::Parsers;
use vinequill_core::review::{FileReading, report_stale};
use vinequill_core::rules;
use vinequill_core::settings::Settings;
use vinequill_core::text::Source;

use crate::decode::decode;
use crate::history::{BlobId, HistoryFailure, Repository, Version};
use crate::run::source_of;
use crate::{Cache, Found, Nested};

/// Tells whether the rule is on for the language of a file.
pub(crate) fn is_wanted(file: &FileReading<'_>) -> bool {
    rules::find("comment.stale").is_some_and(|rule| file.settings.level(rule.id) != Level::None)
}

/// What the contents of files declared, by path and object: once it is known it never changes.
type Past = HashMap<(String, String), Vec<Shape>>;

/// Finds comments that are older than their signatures, file by file. Each content is read once, and what it declared is
/// kept. `now` is the present time in seconds since 1970: what is not committed changed then.
///
/// # Errors
/// [`HistoryFailure`] when the history cannot be read.
pub fn stale_in_history(
    repository: &Repository,
    files: &[Found],
    (settings, nested): (&Settings, &Nested),
    (now, cache): (i64, Option<&Cache>),
) -> Result<HashMap<String, Vec<Finding>>, HistoryFailure> {
    let paths: HashSet<&str> = files.iter().map(|file| file.shown.as_str()).collect();
    let versions = repository.versions(&paths)?;
    let past: Past = cache.and_then(Cache::read_past).unwrap_or_default();
    // The repository is no business of several workers at once: what may be needed is taken out first.
    let mut texts: HashMap<BlobId, Vec<u8>> = HashMap::new();
    for (path, version) in
        versions.iter().flat_map(|(path, own)| own.iter().map(move |version| (path, version)))
    {
        for blob in version.before.into_iter().chain([version.now]) {
            let known = past.contains_key(&(path.clone(), blob.to_string()));
            if !known && let std::collections::hash_map::Entry::Vacant(free) = texts.entry(blob) {
                free.insert(repository.bytes(blob)?);
            }
        }
    }
    let read: Mutex<Past> = Mutex::default();
    let shorts: HashMap<_, _> = versions
        .values()
        .flatten()
        .map(|version| (version.step.commit, repository.short(version.step.commit)))
        .collect();
    let found = files.par_iter().filter_map(|file| {
        let settings = nested.for_file(&file.path).unwrap_or(settings);
        let source = source_of(file, settings).ok()?;
        let reading = FileReading::read_first(&source, file.language, settings, &mut Parsers::new());
        if !is_wanted(&reading) {
            return None;
        }
        let walk = Walk { file, settings, texts: &texts, past: &past, read: &read };
        let own = versions.get(&file.shown).map(Vec::as_slice).unwrap_or_default();
        let told = walk.find(&shapes(&reading), own, now);
        let told = told.into_iter().map(|(at, changed)| {
            let commit = changed.commit.and_then(|commit| shorts.get(&commit));
            let place = commit.map_or("since the last commit".to_owned(), |short| format!("in {short}"));
            let message = format!(
                "{} {place}, {} after this comment; read it again",
                changed.what,
                span_of(changed.after)
            );
            (DeclId(u32::try_from(at).unwrap_or(u32::MAX)), message)
        });
        let findings = report_stale(&reading, told.collect());
        (!findings.is_empty()).then(|| (file.shown.clone(), findings))
    });
    let found = found.collect();
    let read = read.into_inner().unwrap_or_else(PoisonError::into_inner);
    if let Some(cache) = cache.filter(|_| !read.is_empty()) {
        let mut past = past;
        past.extend(read);
        cache.write_past(&past);
    }
    Ok(found)
}

/// A signature that changed after the comment.
struct Changed {
    what: String,
    commit: Option<gix::ObjectId>,
    /// By how many seconds.
    after: i64,
}

/// A change of the signature that was met on the way back: what it was, the commit, and when.
type Later = (String, Option<gix::ObjectId>, i64);

/// One file on its way back through the history.
struct Walk<'a> {
    file: &'a Found,
    settings: &'a Settings,
    texts: &'a HashMap<BlobId, Vec<u8>>,
    past: &'a Past,
    read: &'a Mutex<Past>,
}

impl Walk<'_> {
    fn shapes(&self, blob: BlobId) -> Vec<Shape> {
        let key = (self.file.shown.clone(), blob.to_string());
        let known = || self.read.lock().unwrap_or_else(PoisonError::into_inner).get(&key).cloned();
        if let Some(shapes) = self.past.get(&key).cloned().or_else(known) {
            return shapes;
        }
        let label = self.settings.language(self.file.language.id).encoding.as_deref();
        let decoded = self.texts.get(&blob).and_then(|bytes| decode(bytes.clone(), label));
        let shapes = decoded.map_or(Vec::new(), |decoded| {
            let source = Source::new(&self.file.shown, &decoded.text);
            let language = self.file.language;
            shapes(&FileReading::read_first(&source, language, self.settings, &mut Parsers::new()))
        });
        self.read.lock().unwrap_or_else(PoisonError::into_inner).insert(key, shapes.clone());
        shapes
    }

    /// Goes back until each comment's last change is found, and whether a signature changed after it.
    fn find(&self, present: &[Shape], versions: &[Version], now: i64) -> Vec<(usize, Changed)> {
        let alone = |list: &[Shape], shape: &Shape| {
            let mut same = list.iter().filter(|other| other.is_called_like(shape));
            match (same.next(), same.next()) {
                (Some(only), None) => Some(only.clone()),
                // Of several overloads nobody knows which one became which.
                _ => None,
            }
        };
        let mut open: Vec<(usize, Shape, Option<Later>)> = present
            .iter()
            .enumerate()
            .filter(|(_, shape)| shape.is_commented() && alone(present, shape).is_some())
            .map(|(at, shape)| (at, shape.clone(), None))
            .collect();
        let mut out = Vec::new();
        // What is not committed is the newest step.
        let first = versions.first().map(|version| (None, now, Some(version.now)));
        let steps =
            versions.iter().map(|version| (Some(version.step.commit), version.step.seconds, version.before));
        for (commit, seconds, before) in first.into_iter().chain(steps) {
            if open.is_empty() {
                break;
            }
            let older = before.map_or(Vec::new(), |blob| self.shapes(blob));
            open.retain_mut(|(at, shape, changed)| {
                let old = alone(&older, shape);
                let Some(old) = old.filter(|old| old.has_comment_of(shape)) else {
                    // Here the comment was written.
                    if let Some((what, commit, when)) = changed.take() {
                        out.push((*at, Changed { what, commit, after: when - seconds }));
                    }
                    return false;
                };
                if !old.has_signature_of(shape) && changed.is_none() {
                    *changed = Some((shape.what_changed_since(&old), commit, seconds));
                }
                *shape = old;
                true
            });
        }
        out.sort_by_key(|(at, _)| *at);
        out
    }
}

/// Says how long a time is, in the largest unit of which there are two.
fn span_of(seconds: i64) -> String {
    const DAY: i64 = 24 * 60 * 60;
    let units = [(365 * DAY, "year"), (7 * DAY, "week"), (DAY, "day"), (60 * 60, "hour"), (60, "minute")];
    let (unit, word) = units.into_iter().find(|(unit, _)| seconds >= 2 * unit).unwrap_or((60, "minute"));
    let count = (seconds / unit).max(1);
    if count == 1 { format!("1 {word}") } else { format!("{count} {word}s") }
}

#[cfg(test)]
mod tests {
    use super::span_of;

    #[test]
    fn times_are_told_in_the_unit_that_fits() {
        let day = 24 * 60 * 60;
        for (seconds, wanted) in [
            (5, "1 minute"),
            (3 * 3600, "3 hours"),
            (day, "24 hours"),
            (10 * day, "10 days"),
            (98 * day, "14 weeks"),
            (800 * day, "2 years"),
        ] {
            assert_eq!(span_of(seconds), wanted);
        }
    }
}
