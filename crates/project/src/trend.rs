//! Coverage over the history, straight from the object database: each content of a file is read once, and measured by
//! what the project knew when it was newest.

use std::collections::HashMap;
use std::sync::Arc;

use vinequill_core::coverage::{self, Counts};
use vinequill_core::index::{FileFacts, Index};
use vinequill_core::languages;
use vinequill_core::reading::Parsers;
use vinequill_core::review::{self, FileReading};
use vinequill_core::settings::Settings;
use vinequill_core::text::Source;

use crate::history::{BlobId, HistoryFailure, InRevision, Repository, Step};
use crate::run::{HELD_BYTES, in_order, is_generated, spread, workers};
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
    let mut known: HashMap<Content, Option<Known>> = HashMap::new();
    let mut points = Vec::with_capacity(steps.len());
    for (done, &step) in steps.iter().enumerate() {
        let found = repository.found_in(step.commit, wanted)?;
        let settings = |file: &Found| nested.for_file(&file.path).unwrap_or(wanted.settings);
        let mut fresh: Vec<(Found, BlobId)> = Vec::new();
        for (file, blob) in &found {
            let content = (file.shown.clone(), *blob);
            if known.contains_key(&content) {
                continue;
            }
            match repository.with_text((file, *blob), settings(file))? {
                Some(read) => fresh.push((read, *blob)),
                None => _ = known.insert(content, None),
            }
        }
        if !fresh.is_empty() {
            measure(&pool, &fresh, (&found, &settings), &mut known);
        }
        let mut counts = Counts::default();
        for (file, blob) in &found {
            if let Some(Some(known)) = known.get(&(file.shown.clone(), *blob)) {
                counts.add(known.counts);
            }
        }
        points.push(Point { step, counts });
        progress(done + 1);
    }
    points.reverse();
    Ok(points)
}

/// Finds the settings that hold for a file.
type SettingsOf<'a, 's> = dyn Fn(&Found) -> &'s Settings + Sync + 'a;

/// Reads contents that were not seen before, among all that their commit has.
fn measure<'s>(
    pool: &rayon::ThreadPool,
    fresh: &[(Found, BlobId)],
    (found, settings): (&[(Found, BlobId)], &SettingsOf<'_, 's>),
    known: &mut HashMap<Content, Option<Known>>,
) {
    let order: Vec<usize> = (0..fresh.len()).collect();
    let bytes: u64 = fresh.iter().map(|(file, _)| text_of(file).len() as u64).sum();
    let hold = bytes <= HELD_BYTES;
    let first = spread(pool, &order, |at, parsers| {
        unharmed(parsers, |parsers| {
            let file = &fresh[at].0;
            let reading = read(file, settings(file), parsers)?;
            let facts = reading.facts();
            Some((facts, hold.then_some(reading)))
        })
    });
    let first = in_order(first);
    let new_facts = first.iter().flatten().map(|(facts, _)| facts.clone());
    let before = found.iter().filter_map(|(file, blob)| known.get(&(file.shown.clone(), *blob))?.as_ref());
    let index = Arc::new(Index::of(before.map(|known| known.facts.clone()).chain(new_facts)));
    let first: Vec<_> = first.into_iter().map(std::sync::Mutex::new).collect();
    let counted = spread(pool, &order, |at, parsers| {
        let (facts, held) = first[at].lock().ok()?.take()?;
        let file = &fresh[at].0;
        unharmed(parsers, |parsers| {
            let reading = match held {
                Some(reading) => reading,
                None => read(file, settings(file), parsers)?,
            };
            Some(Known { facts, counts: count(file, reading.among(&index), parsers) })
        })
    });
    for (counted, (file, blob)) in in_order(counted).into_iter().zip(fresh) {
        known.insert((file.shown.clone(), *blob), counted);
    }
}

/// Adds up what the declarations of a file come to.
fn count(file: &Found, reading: FileReading<'_>, parsers: &mut Parsers) -> Counts {
    let mut counts = Counts::default();
    if file.named || !is_generated(reading.source.text()) {
        reading.swap_parsers(parsers);
        let review = review::review(&reading);
        coverage::tallies(&reading, &review).iter().for_each(|tally| counts.add(tally.counts));
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
