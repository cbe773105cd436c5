//! Coverage over the history, straight from the object database: each content of a file is read once, and measured by
//! what the project knew when it was newest, or a few commits later.

use std::collections::HashMap;
use std::sync::{Arc, Mutex};

use vinequill_core::coverage::{self, Counts};
use vinequill_core::index::{FileFacts, Index};
use vinequill_core::languages;
use vinequill_core::reading::Parsers;
use vinequill_core::review::{self, FileReading};
use vinequill_core::settings::Settings;
use vinequill_core::text::Source;

use crate::generated::is_generated;
use crate::history::{BlobId, Files, HistoryFailure, InRevision, Repository, Step};
use crate::run::{HELD_BYTES, in_order, spread, workers};
use crate::{Found, Nested};

/// The numbers of one commit.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Point {
    /// The commit.
    pub step: Step,
    /// What it had.
    pub counts: Counts,
}

/// What is known of one content of a file at one path.
struct Known {
    facts: FileFacts,
    counts: Counts,
}

/// A content of a file: where, and what.
type Content = (String, BlobId);

/// So many times the whole project is put together from what its files tell; in longer histories several commits
/// share what the newest of them knew.
const MOST_INDEXES: usize = 60;

/// Measures commits, given newest first, and returns them oldest first. `progress` is told how many are done.
///
/// # Errors
/// [`HistoryFailure`] when an object cannot be read.
///
/// # Panics
/// When the system has no thread left to start.
pub fn trend(
    repository: &Repository,
    steps: &[Step],
    (wanted, nested, jobs): (&InRevision<'_>, &Nested, usize),
    progress: &dyn Fn(usize),
) -> Result<Vec<Point>, HistoryFailure> {
    let pool = workers(jobs);
    let settings = |file: &Found| nested.for_file(&file.path).unwrap_or(wanted.settings);
    let mut files = Files::of(repository, wanted)?;
    let mut known: HashMap<Content, Option<Known>> = HashMap::new();
    // The content of each path at the commit that was looked at last.
    let mut current: HashMap<String, BlobId> = HashMap::new();
    let (mut total, mut points) = (Counts::default(), Vec::with_capacity(steps.len()));
    for batch in steps.chunks(steps.len().div_ceil(MOST_INDEXES).max(1)) {
        let mut fresh: HashMap<Content, Found> = HashMap::new();
        let mut ways: Vec<Vec<(String, Option<BlobId>)>> = Vec::with_capacity(batch.len());
        let mut newest: Vec<Content> = Vec::new();
        for &step in batch {
            let mut way = Vec::new();
            for (path, found) in files.go_to(step.commit)? {
                way.push((path.clone(), found.as_ref().map(|(_, blob)| *blob)));
                let Some((file, blob)) = found else { continue };
                let content = (path, blob);
                if known.contains_key(&content) || fresh.contains_key(&content) {
                    continue;
                }
                match repository.with_text((&file, blob), settings(&file))? {
                    Some(read) => _ = fresh.insert(content, read),
                    None => _ = known.insert(content, None),
                }
            }
            if ways.is_empty() {
                let mut there = current.clone();
                walk_over(&mut there, &way, |_, _| {});
                newest = there.into_iter().collect();
            }
            ways.push(way);
        }
        measure(&pool, fresh.into_iter().collect(), (&newest, &settings), &mut known);
        for (way, &step) in ways.into_iter().zip(batch) {
            walk_over(&mut current, &way, |path, (was, is)| {
                let counts = |blob: Option<BlobId>| {
                    let known = blob.and_then(|blob| known.get(&(path.to_owned(), blob))?.as_ref());
                    known.map_or(Counts::default(), |known| known.counts)
                };
                total.subtract(counts(was));
                total.add(counts(is));
            });
            points.push(Point { step, counts: total });
            progress(points.len());
        }
    }
    points.reverse();
    Ok(points)
}

/// Takes the files of one commit to those of another, and calls `each` with what a path was and is.
fn walk_over(
    current: &mut HashMap<String, BlobId>,
    way: &[(String, Option<BlobId>)],
    mut each: impl FnMut(&str, (Option<BlobId>, Option<BlobId>)),
) {
    for (path, is) in way {
        let was = match is {
            Some(blob) => current.insert(path.clone(), *blob),
            None => current.remove(path),
        };
        each(path, (was, *is));
    }
}

/// Finds the settings that hold for a file.
type SettingsOf<'a, 's> = dyn Fn(&Found) -> &'s Settings + Sync + 'a;

/// Reads contents that were not seen before; `newest` is all that the newest commit among theirs has.
fn measure(
    pool: &rayon::ThreadPool,
    fresh: Vec<(Content, Found)>,
    (newest, settings): (&[Content], &SettingsOf<'_, '_>),
    known: &mut HashMap<Content, Option<Known>>,
) {
    if fresh.is_empty() {
        return;
    }
    let order: Vec<usize> = (0..fresh.len()).collect();
    let bytes: u64 = fresh.iter().map(|(_, file)| text_of(file).len() as u64).sum();
    let hold = bytes <= HELD_BYTES;
    let first = spread(pool, &order, |at, parsers| {
        unharmed(parsers, |parsers| {
            let file = &fresh[at].1;
            let reading = read(file, settings(file), parsers)?;
            let facts = reading.facts();
            Some((facts, hold.then_some(reading)))
        })
    });
    let first = in_order(first);
    let told: HashMap<&Content, &FileFacts> = fresh
        .iter()
        .zip(&first)
        .filter_map(|((content, _), told)| Some((content, &told.as_ref()?.0)))
        .collect();
    let facts = newest.iter().filter_map(|content| match told.get(content) {
        Some(facts) => Some((*facts).clone()),
        None => known.get(content)?.as_ref().map(|known| known.facts.clone()),
    });
    let index = Arc::new(Index::of(facts));
    let first: Vec<_> = first.into_iter().map(Mutex::new).collect();
    let counted = spread(pool, &order, |at, parsers| {
        let (facts, held) = first[at].lock().ok()?.take()?;
        let file = &fresh[at].1;
        unharmed(parsers, |parsers| {
            let reading = match held {
                Some(reading) => reading,
                None => read(file, settings(file), parsers)?,
            };
            Some(Known { facts, counts: count(file, reading.among(&index), parsers) })
        })
    });
    let counted = in_order(counted);
    known.extend(fresh.into_iter().map(|(content, _)| content).zip(counted));
}

/// Adds up what the declarations of a file come to.
fn count(file: &Found, reading: FileReading<'_>, parsers: &mut Parsers) -> Counts {
    let mut counts = Counts::default();
    if file.named || !is_generated(reading.source.text()) {
        reading.swap_parsers(parsers);
        let review = review::review(&reading);
        coverage::tallies(&reading, &review).iter().for_each(|tally| counts.add(tally.counts()));
        reading.swap_parsers(parsers);
    }
    counts
}

/// A defect in one content of one commit costs that content.
fn unharmed<T>(parsers: &mut Parsers, work: impl FnOnce(&mut Parsers) -> Option<T>) -> Option<T> {
    let done = std::panic::catch_unwind(std::panic::AssertUnwindSafe(|| work(parsers)));
    done.unwrap_or_else(|_| {
        *parsers = Parsers::new();
        None
    })
}

fn text_of(file: &Found) -> &str {
    file.given.as_ref().map_or("", |given| given.text.as_str())
}

/// Reads a content by itself; nothing when it is of a language that cannot be read.
fn read<'s>(file: &Found, settings: &'s Settings, parsers: &mut Parsers) -> Option<FileReading<'s>> {
    let source = Source::new(&file.shown, text_of(file));
    if languages::foreign(file.language, &source).is_some() {
        return None;
    }
    Some(FileReading::read_first(&source, file.language, settings, parsers))
}
