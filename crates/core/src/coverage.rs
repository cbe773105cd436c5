//! How much is documented, and how fully. Levels, waivers and accepted findings change none of it.

use std::borrow::Cow;

use crate::debt::{Debt, is_documented};
use crate::model::{DeclId, EntryKind, Excuse, Kind};
use crate::placeholder::{is_placeholder, may_be_placeholder};
use crate::review::{Examined, FileReading, FileReview, Seen, Standing, undocumented_debt};

/// What one declaration adds to coverage, in little space: of a large tree there are many.
#[derive(Clone, Copy, Debug, PartialEq, Eq, serde::Serialize, serde::Deserialize)]
pub struct Tally {
    /// Its kind.
    pub kind: Kind,
    /// Offset of its name, by which lists are sorted.
    pub at: u32,
    items: (u32, u32),
    declared: bool,
    described: bool,
    complete: bool,
    excused: bool,
}

impl Tally {
    fn of(kind: Kind, at: u32, counts: Counts) -> Self {
        let items = |count: u64| u32::try_from(count).unwrap_or(u32::MAX);
        Self {
            kind,
            at,
            items: (items(counts.items_asked), items(counts.items_present)),
            declared: counts.declared > 0,
            described: counts.described > 0,
            complete: counts.complete > 0,
            excused: counts.excused > 0,
        }
    }

    /// Returns what it adds to the numbers.
    #[must_use]
    pub fn counts(&self) -> Counts {
        Counts {
            declared: self.declared.into(),
            described: self.described.into(),
            complete: self.complete.into(),
            items_asked: self.items.0.into(),
            items_present: self.items.1.into(),
            excused: self.excused.into(),
        }
    }
}

/// Numbers that add up.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, serde::Serialize, serde::Deserialize)]
pub struct Counts {
    /// Declarations that are asked for a comment.
    pub declared: u64,
    /// Those with a summary that is no placeholder.
    pub described: u64,
    /// Those whose entries are all there, and right.
    pub complete: u64,
    /// One for each summary, one for each entry owed.
    pub items_asked: u64,
    /// Those that are there.
    pub items_present: u64,
    /// Declarations that are excused.
    pub excused: u64,
}

impl Counts {
    /// Adds other numbers to these.
    pub fn add(&mut self, other: Self) {
        self.declared += other.declared;
        self.described += other.described;
        self.complete += other.complete;
        self.items_asked += other.items_asked;
        self.items_present += other.items_present;
        self.excused += other.excused;
    }
}

impl Counts {
    /// Takes away numbers that were added before.
    pub fn subtract(&mut self, other: Self) {
        self.declared -= other.declared;
        self.described -= other.described;
        self.complete -= other.complete;
        self.items_asked -= other.items_asked;
        self.items_present -= other.items_present;
        self.excused -= other.excused;
    }
}

/// Returns a share in tenths of a percent, rounded down; nothing when there is nothing to share.
#[must_use]
pub fn permille(part: u64, whole: u64) -> Option<u64> {
    (whole > 0).then(|| part * 1000 / whole)
}

/// Tallies the declarations of a file of which something is asked.
#[must_use]
pub fn tallies(file: &FileReading<'_>, review: &FileReview<'_>) -> Vec<Tally> {
    let tally = |(id, counts, _): (DeclId, Counts, Option<Excuse>)| {
        let declaration = file.outline.declaration(id);
        Tally::of(declaration.kind, declaration.name_span.start, counts)
    };
    measured(file, review).map(tally).collect()
}

/// A declaration that lacks something, or is excused.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Gap {
    /// The declaration.
    pub id: DeclId,
    /// What it adds to the numbers.
    pub counts: Counts,
    /// Why nothing is asked of it, where an excuse applies.
    pub excuse: Option<Excuse>,
}

/// Lists the declarations that are not complete, and those that are excused, in source order.
#[must_use]
pub fn gaps(file: &FileReading<'_>, review: &FileReview<'_>) -> Vec<Gap> {
    let lacks =
        |counts: &Counts| counts.complete < counts.declared || counts.items_present < counts.items_asked;
    measured(file, review)
        .filter(|(_, counts, excuse)| excuse.is_some() || lacks(counts))
        .map(|(id, counts, excuse)| Gap { id, counts, excuse })
        .collect()
}

fn measured<'r>(
    file: &'r FileReading<'_>,
    review: &'r FileReview<'_>,
) -> impl Iterator<Item = (DeclId, Counts, Option<Excuse>)> + 'r {
    review.seen.iter().filter_map(|seen| {
        let counts = match seen.standing {
            Standing::Skipped | Standing::NotAsked => return None,
            Standing::Excused(excuse) => {
                return Some((seen.id, Counts { excused: 1, ..Counts::default() }, Some(excuse)));
            }
            Standing::Asked => match &seen.examined {
                None => {
                    let asked = 1 + owed_when_undocumented(file, seen.id);
                    Counts { declared: 1, items_asked: asked, ..Counts::default() }
                }
                Some(examined) => documented(file, seen, examined),
            },
        };
        Some((seen.id, counts, None))
    })
}

/// Counts the entries that a draft would write, except those of subjects of which nothing is asked.
fn owed_when_undocumented(file: &FileReading<'_>, id: DeclId) -> u64 {
    let debt = undocumented_debt(file, id).without_never(file.settings.demand);
    count(&debt)
}

fn count(debt: &Debt) -> u64 {
    let entries =
        debt.params.iter().chain(&debt.typeparams).filter(|&&owed| owed).count() + debt.throws.len();
    u64::try_from(entries).unwrap_or(u64::MAX) + u64::from(debt.returns) + u64::from(debt.yields)
}

fn documented(file: &FileReading<'_>, seen: &Seen<'_>, examined: &Examined<'_>) -> Counts {
    let declaration = file.outline.declaration(seen.id);
    let Some(doc) = file.doc(seen.id) else { return Counts::default() };
    let own = &file.settings.placeholder;
    let summary = doc.summary_prose(&file.source);
    let inherits = doc.inherits;
    let described =
        inherits || (!summary.trim().is_empty() && !is_placeholder(&summary, declaration.name.as_str(), own));
    let placeholder = |entry: &crate::model::Entry| {
        let subject = entry.name().map_or("", |name| name.name.as_str());
        entry.text.is_some_and(|span| {
            may_be_placeholder(file.source.slice(span), subject, own)
                && is_placeholder(&doc.prose(&file.source, span), subject, own)
        })
    };
    let present = |entry: Option<usize>| {
        entry.is_some_and(|at| doc.entries.get(at).is_none_or(|entry| !placeholder(entry)))
    };
    let debt = &examined.debt;
    let of_side = |owed: &[bool], entries: &[Option<usize>]| {
        owed.iter().zip(entries).filter(|&(&owed, &entry)| owed && present(entry)).count()
    };
    let mut there = of_side(&debt.params, &examined.pairing.params.entry_of)
        + of_side(&debt.typeparams, &examined.pairing.typeparams.entry_of);
    let said = |kind: EntryKind| doc.entries_of(kind).any(|entry| !placeholder(entry));
    there += usize::from(debt.returns && (said(EntryKind::Returns) || said(EntryKind::Yields)));
    there += usize::from(debt.yields && (said(EntryKind::Returns) || said(EntryKind::Yields)));
    let kin = (file.language.hierarchy, file.known());
    // What is left to be filled in tells of no exception.
    let open = doc.entries_of(EntryKind::Throws).any(placeholder);
    let said_of = if open {
        let mut said_of = doc.clone();
        said_of.entries.retain(|entry| !placeholder(entry));
        Cow::Owned(said_of)
    } else {
        Cow::Borrowed(doc)
    };
    let told =
        |&&at: &&usize| is_documented(&examined.signature.throws[at], &said_of, examined.signature, kin);
    there += debt.throws.iter().filter(told).count();
    let faulty = seen.incomplete || doc.entries.iter().any(placeholder);
    Counts {
        declared: 1,
        described: u64::from(described),
        complete: u64::from(described && !faulty),
        items_asked: 1 + count(debt),
        items_present: u64::from(described) + u64::try_from(there).unwrap_or(u64::MAX),
        excused: 0,
    }
}
