//! How much is documented, and how fully. Levels, waivers and accepted findings change none of it.

use crate::debt::{Debt, is_documented};
use crate::model::{DeclId, EntryKind, Kind, RawFinding, RuleId};
use crate::notations;
use crate::placeholder::is_placeholder;
use crate::review::{Examined, FileReading, Standing, signature_of};

/// What one declaration adds to coverage.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Tally {
    /// Its kind.
    pub kind: Kind,
    /// Its place in the numbers.
    pub counts: Counts,
    /// Offset of its name, by which lists are sorted.
    pub at: u32,
}

/// Numbers that add up.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq)]
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

/// Returns a share in tenths of a percent, rounded down; nothing when there is nothing to share.
#[must_use]
pub fn permille(part: u64, whole: u64) -> Option<u64> {
    (whole > 0).then(|| part * 1000 / whole)
}

/// Tells whether findings of a rule make a comment incomplete.
#[must_use]
pub fn bears_on_completeness(rule: RuleId) -> bool {
    let Some((subject, fault)) = rule.as_str().split_once('.') else { return false };
    matches!(subject, "param" | "typeparam" | "returns" | "yields" | "throws")
        && matches!(fault, "missing" | "unknown" | "repeated" | "empty" | "unexpected" | "type")
}

/// Tallies a declaration; nothing when nothing is asked of it.
pub(crate) fn tally(
    file: &FileReading<'_>,
    id: DeclId,
    standing: Standing,
    (examined, found): (Option<&Examined<'_>>, &[RawFinding]),
) -> Option<Tally> {
    let declaration = file.outline.declaration(id);
    let counts = match standing {
        Standing::Skipped | Standing::NotAsked => return None,
        Standing::Excused(_) => Counts { excused: 1, ..Counts::default() },
        Standing::Asked => match examined {
            None => Counts { declared: 1, items_asked: 1 + owed_when_undocumented(file, id), ..Counts::default() },
            Some(examined) => documented(file, id, examined, found),
        },
    };
    Some(Tally { kind: declaration.kind, counts, at: declaration.name_span.start })
}

/// Counts the entries that a draft would write, except those of subjects of which nothing is asked.
fn owed_when_undocumented(file: &FileReading<'_>, id: DeclId) -> u64 {
    let debt = undocumented_debt(file, id).without_never(file.settings.demand);
    count(&debt)
}

/// Returns what a comment that is not there yet would have to say.
pub(crate) fn undocumented_debt(file: &FileReading<'_>, id: DeclId) -> Debt {
    let declaration = file.outline.declaration(id);
    let holds = notations::get(file.notation).map_or((|_| true) as fn(EntryKind) -> bool, |notation| notation.holds);
    let (signature, known) = signature_of(file, declaration);
    let speaks = declaration.kind.is_callable() || declaration.kind.is_type() || !signature.parameters.is_empty();
    if !speaks || !known && !declaration.kind.is_type() {
        return Debt::none(signature);
    }
    let mut debt = Debt::whole(signature, holds);
    let own_parameters = declaration.construction == crate::model::Construction::Header;
    if declaration.kind.is_type() && declaration.kind != Kind::Delegate {
        debt.returns = false;
        debt.yields = false;
        debt.throws.clear();
        if !own_parameters {
            debt.params.fill(false);
        }
    }
    debt
}

fn count(debt: &Debt) -> u64 {
    let entries = debt.params.iter().chain(&debt.typeparams).filter(|&&owed| owed).count() + debt.throws.len();
    u64::try_from(entries).unwrap_or(u64::MAX) + u64::from(debt.returns) + u64::from(debt.yields)
}

fn documented(file: &FileReading<'_>, id: DeclId, examined: &Examined<'_>, found: &[RawFinding]) -> Counts {
    let declaration = file.outline.declaration(id);
    let Some(doc) = file.doc(id) else { return Counts::default() };
    let own = &file.settings.placeholder;
    let summary = doc.summary_prose(file.source);
    let inherits = doc.inherits;
    let described =
        inherits || (!summary.trim().is_empty() && !is_placeholder(&summary, declaration.name.as_str(), own));
    let placeholder = |entry: &crate::model::Entry| {
        let subject = entry.name().map_or("", |name| name.name.as_str());
        entry.text.is_some_and(|span| is_placeholder(&doc.prose(file.source, span), subject, own))
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
    let kin = (file.language.hierarchy, &file.outline.declarations[..]);
    let told = |&&at: &&usize| is_documented(&examined.signature.throws[at], doc, examined.signature, kin);
    there += debt.throws.iter().filter(told).count();
    let faulty = found.iter().any(|finding| bears_on_completeness(finding.rule)) || doc.entries.iter().any(placeholder);
    Counts {
        declared: 1,
        described: u64::from(described),
        complete: u64::from(described && !faulty),
        items_asked: 1 + count(debt),
        items_present: u64::from(described) + u64::try_from(there).unwrap_or(u64::MAX),
        excused: 0,
    }
}
