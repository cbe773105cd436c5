//! Makes the edits that findings carry, and proves after each rule that nothing got worse.

use std::collections::{BTreeMap, HashSet};

use super::wrap::wrap;
use crate::draft::{self, Inherit, Only};
use crate::model::{DeclId, Finding, RuleId, State};
use crate::proof::only_comments_changed;
use crate::reading::Parsers;
use crate::review::{FileReading, review};
use crate::rules;
use crate::text::{Edit, Edits, Source};

/// What is to be mended.
#[derive(Clone, Debug, Default)]
pub struct Wish {
    /// Only these rules; empty for all that need no decision.
    pub rules: Vec<RuleId>,
    /// Adds the entries that are missing, with placeholders for their text.
    pub fill_missing: bool,
    /// Breaks lines of comments that are longer, in characters.
    pub wrap: Option<usize>,
    /// Only the comments of these declarations; all where nothing is given.
    pub only: Option<HashSet<DeclId>>,
}

impl Wish {
    /// Tells whether the comment of a declaration is to be mended.
    fn is_about(&self, id: DeclId) -> bool {
        self.only.as_ref().is_none_or(|only| only.contains(&id))
    }
}

/// Which repairs a person has to decide on.
const DECISIONS: &[&str] = &["comment.detached", "comment.ordinary"];

/// What is told of lines that were broken, and of entries that were added.
const WRAP: &str = "wrap";
const FILL: &str = "fill-missing";

/// Which repairs are offered.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
enum Wanted {
    /// Those that need no thought, and those whose rule is named.
    Plain,
    /// Those as well that a person decides on, one by one.
    Asked,
}

/// What came of mending a file.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct Mended {
    /// The text, as it was where there was nothing to do.
    pub text: String,
    /// How often each rule was mended; `wrap` for long lines, `fill-missing` for entries.
    pub done: BTreeMap<&'static str, usize>,
    /// Findings whose repair would have caused others, and so was not made: rule and line, from 1.
    pub refused: Vec<(RuleId, u32)>,
}

/// Mending goes on while it finds something to do; one repair can make way for another.
const MOST_ROUNDS: usize = 6;

impl Wish {
    fn takes(&self, rule: RuleId, wanted: Wanted) -> bool {
        if self.rules.is_empty() {
            return wanted == Wanted::Asked || !DECISIONS.contains(&rule.as_str());
        }
        self.rules.contains(&rule)
    }
}

/// Mends a file.
#[must_use]
pub fn mend(file: &FileReading<'_>, wish: &Wish) -> Mended {
    let mut work = Work::of(file);
    let mut refused: Vec<(RuleId, u32)> = Vec::new();
    for _ in 0..MOST_ROUNDS {
        let before = work.text.clone();
        refused.clear();
        for rule in order() {
            if wish.takes(rule, Wanted::Plain) {
                work.mend_rule(file, (rule, wish), &mut refused);
            }
        }
        if work.text == before && wish.fill_missing {
            // Entries that were added may settle which of the others was meant.
            work.fill(file, wish);
        }
        if work.text == before {
            break;
        }
    }
    if let Some(width) = wish.wrap {
        work.wrap(file, (width, wish));
    }
    Mended { text: work.text, done: work.done, refused }
}

/// A repair that a person can take or leave.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Piece {
    /// The rule, or what else is done, as in [`Mended::done`].
    pub rule: &'static str,
    /// The declaration whose comment it is.
    pub declaration: Option<DeclId>,
    /// Where the fault is, in bytes.
    pub at: u32,
    /// What is wrong.
    pub message: String,
    /// What mends it.
    pub edits: Vec<Edit>,
}

/// Returns what could be mended, piece by piece, for a person to choose from.
#[must_use]
pub fn pieces(file: &FileReading<'_>, wish: &Wish) -> Vec<Piece> {
    let found = review(file).findings.into_iter().filter(|finding| is_mendable(finding, wish));
    let mut out: Vec<Piece> = found
        .filter(|finding| wish.takes(finding.raw.rule, Wanted::Asked))
        .map(|finding| Piece {
            rule: finding.raw.rule.as_str(),
            declaration: finding.raw.declaration,
            at: finding.raw.span.start,
            message: finding.raw.message.to_string(),
            edits: finding.raw.edits,
        })
        .collect();
    if wish.fill_missing {
        let drafts = draft::draft_file(file, &|id| wish.is_about(id), Only::Partial, Inherit::None);
        out.extend(drafts.drafted.into_iter().map(|drafted| Piece {
            rule: FILL,
            declaration: Some(drafted.declaration),
            at: file.outline.declaration(drafted.declaration).name_span.start,
            message: "entries are missing".to_owned(),
            edits: drafted.edits,
        }));
    }
    out.extend(wish.wrap.iter().flat_map(|&width| wrap(file, width, &|id| wish.is_about(id))).map(|edits| {
        Piece {
            rule: WRAP,
            declaration: None,
            at: edits[0].span.start,
            message: "lines are too long".to_owned(),
            edits,
        }
    }));
    out.sort_by_key(|piece| piece.at);
    out
}

fn is_mendable(finding: &Finding, wish: &Wish) -> bool {
    finding.state == State::New
        && !finding.raw.edits.is_empty()
        && wish.only.as_ref().is_none_or(|only| finding.raw.declaration.is_some_and(|id| only.contains(&id)))
}

/// Returns the rules in the order in which they are mended: comments are put into place first, and names put right
/// before what hangs on them.
fn order() -> impl Iterator<Item = RuleId> {
    let first = ["comment.detached", "comment.ordinary", "tag.unknown", "markup.section", "param.unknown"];
    let known = |id: &&str| rules::find(id).map(|rule| rule.id);
    let early: Vec<RuleId> = first.iter().filter_map(known).collect();
    let rest: Vec<RuleId> = rules::ALL.iter().map(|rule| rule.id).filter(|id| !early.contains(id)).collect();
    early.into_iter().chain(rest)
}

/// How often each rule speaks.
type Counts = BTreeMap<RuleId, usize>;

fn counts(findings: &[Finding]) -> Counts {
    let mut out = Counts::new();
    for finding in findings {
        *out.entry(finding.raw.rule).or_default() += 1;
    }
    out
}

/// Tells whether no rule has more to say; of a comment that became visible only then, entries may be missing.
fn is_no_worse(published: bool, before: &Counts, after: &Counts) -> bool {
    after.iter().all(|(id, &count)| {
        count <= before.get(id).copied().unwrap_or(0) || (published && id.as_str().ends_with(".missing"))
    })
}

/// A text while it is mended.
struct Work {
    text: String,
    findings: Vec<Finding>,
    done: BTreeMap<&'static str, usize>,
    parsers: Parsers,
}

impl Work {
    fn of(file: &FileReading<'_>) -> Self {
        Self {
            text: file.source.text().to_owned(),
            findings: review(file).findings,
            done: BTreeMap::new(),
            parsers: Parsers::new(),
        }
    }

    /// Mends all that one rule found; where that makes matters worse, each finding by itself.
    fn mend_rule(
        &mut self,
        file: &FileReading<'_>,
        (rule, wish): (RuleId, &Wish),
        refused: &mut Vec<(RuleId, u32)>,
    ) {
        let mine =
            self.findings.iter().filter(|finding| finding.raw.rule == rule && is_mendable(finding, wish));
        let repairs = disjoint(mine.map(|finding| finding.raw.edits.clone()).collect());
        let published = DECISIONS.contains(&rule.as_str());
        let made = self.make(file, &repairs, published, &mut |line| refused.push((rule, line)));
        if made > 0 {
            *self.done.entry(rule.as_str()).or_default() += made;
        }
    }

    /// Makes repairs that do not touch each other, sorted by place; where all together make matters worse, by
    /// halves. Returns how many were made, and calls `refused` with the line of each that was not.
    fn make(
        &mut self,
        file: &FileReading<'_>,
        repairs: &[Vec<Edit>],
        published: bool,
        refused: &mut dyn FnMut(u32),
    ) -> usize {
        if repairs.is_empty() || self.attempt(file, repairs, published) {
            return repairs.len();
        }
        if let [repair] = repairs {
            refused(line_of(&self.text, repair[0].span.start));
            return 0;
        }
        let (early, late) = repairs.split_at(repairs.len() / 2);
        // From the end, so that those still to come stay where they are.
        let made = self.make(file, late, published, refused);
        made + self.make(file, early, published, refused)
    }

    /// Makes edits; takes them back when they touch code, or leave a rule with more to say.
    fn attempt(&mut self, file: &FileReading<'_>, repairs: &[Vec<Edit>], published: bool) -> bool {
        let all = repairs.iter().flatten().cloned().collect();
        let Ok(text) = Edits::new(all).and_then(|edits| edits.apply(&self.text)) else { return false };
        if text == self.text {
            return false;
        }
        let again = file.read_again(&text);
        let findings = review(&again).findings;
        // The proof reads both texts once more, and most that is refused is refused here.
        if !is_no_worse(published, &counts(&self.findings), &counts(&findings)) {
            return false;
        }
        let old = Source::new(file.source.path(), &self.text);
        if only_comments_changed(&old, &again.source, file.language, &mut self.parsers).is_err() {
            return false;
        }
        (self.text, self.findings) = (text, findings);
        true
    }

    fn fill(&mut self, file: &FileReading<'_>, wish: &Wish) {
        let again = file.read_again(&self.text);
        let drafts = draft::draft_file(&again, &|id| wish.is_about(id), Only::Partial, Inherit::None).drafted;
        let edits = drafts.iter().flat_map(|drafted| drafted.edits.iter().cloned()).collect();
        let Ok(text) = Edits::new(edits).and_then(|edits| edits.apply(&self.text)) else { return };
        if !drafts.is_empty() {
            *self.done.entry(FILL).or_default() += drafts.len();
            self.findings = review(&file.read_again(&text)).findings;
            self.text = text;
        }
    }

    fn wrap(&mut self, file: &FileReading<'_>, (width, wish): (usize, &Wish)) {
        let repairs = wrap(&file.read_again(&self.text), width, &|id| wish.is_about(id));
        let made = self.make(file, &repairs, false, &mut |_| {});
        if made > 0 {
            self.done.insert(WRAP, made);
        }
    }
}

/// Chooses repairs that do not touch each other, from the first, sorted by place.
fn disjoint(mut found: Vec<Vec<Edit>>) -> Vec<Vec<Edit>> {
    let hull = |edits: &Vec<Edit>| {
        let start = edits.iter().map(|edit| edit.span.start).min().unwrap_or(0);
        (start, edits.iter().map(|edit| edit.span.end).max().unwrap_or(start))
    };
    found.sort_by_key(hull);
    let mut upto = None;
    found.retain(|edits| {
        let (start, end) = hull(edits);
        let free = upto.is_none_or(|upto| start > upto || (start == upto && end > start));
        if free {
            upto = Some(end);
        }
        free
    });
    found
}

fn line_of(text: &str, offset: u32) -> u32 {
    let before = text.get(..offset as usize).unwrap_or(text);
    crate::text::narrow(memchr::memchr_iter(b'\n', before.as_bytes()).count()) + 1
}
