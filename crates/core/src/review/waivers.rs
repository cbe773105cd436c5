//! Instructions to this program in comments: waivers of findings, and what is left out of the review.
//!
//! `vinequill: waive RULE[, RULE] -- reason`, `waive-file`, `skip`, `skip-file`, each on a line of its own.

use std::collections::{HashMap, HashSet};

use arcstr::Substr;
use memchr::memmem;
use smol_str::SmolStr;

use super::FileReading;
use crate::model::{CommentId, DeclId, Finding, Level, Outline, RawFinding, RuleId, State};
use crate::reading::INSTRUCTION;
use crate::rules::{self, STALE, UNUSED};
use crate::settings::covers;
use crate::text::{Source, Span, narrow, nearest};

/// What an instruction is about.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
enum Scope {
    /// What the comment touches.
    Comment(CommentId),
    /// The file.
    File,
}

/// A rule, or several by a pattern, that a line waives.
#[derive(Debug)]
struct Waiver {
    /// As written: a rule, `subject.*` or `*`.
    pattern: SmolStr,
    span: Span,
    reason: String,
    scope: Scope,
    used: bool,
}

impl Waiver {
    /// Tells whether it counts for a rule.
    fn waives(&self, rule: RuleId) -> bool {
        !self.reason.is_empty() && covers(&self.pattern, rule)
    }
}

/// Returns the comment that a finding points into.
fn comment_at(file: &FileReading<'_>, span: Span) -> Option<CommentId> {
    let comments = &file.outline.comments;
    let at = comments.partition_point(|comment| comment.span.end <= span.start);
    comments.get(at).filter(|comment| comment.span.contains(span)).map(|_| CommentId(narrow(at)))
}

/// An instruction as it stands in a comment.
struct Instruction<'s> {
    comment: CommentId,
    /// The word behind the mark.
    word: &'s str,
    /// What follows the word.
    rest: &'s str,
    /// Where `rest` begins, in bytes.
    at: usize,
}

/// Finds the instructions of a file, line by line.
fn instructions<'s>(outline: &Outline, source: &'s Source) -> Vec<Instruction<'s>> {
    let text = source.text();
    let mut out = Vec::new();
    for found in memmem::find_iter(text.as_bytes(), INSTRUCTION) {
        let at = Span::of(found, found);
        let number = outline.comments.partition_point(|comment| comment.span.end <= at.start);
        let Some(comment) = outline.comments.get(number).filter(|comment| comment.span.contains(at)) else {
            continue;
        };
        let line_start = source.line_start(found).max(comment.span.start as usize);
        let alone =
            text[line_start..found].chars().all(|c| !c.is_alphanumeric() && !matches!(c, '`' | '"' | '\''));
        if !alone {
            continue;
        }
        let from = found + INSTRUCTION.len();
        let line = text[from..(comment.span.end as usize).max(from)].split('\n').next().unwrap_or_default();
        let line = line
            .trim_end()
            .trim_end_matches("*/")
            .trim_end_matches("\"\"\"")
            .trim_end_matches("]]")
            .trim_end();
        let bare = line.trim_start();
        let lead = line.len() - bare.len();
        let end = bare.find(char::is_whitespace).unwrap_or(bare.len());
        out.push(Instruction {
            comment: CommentId(narrow(number)),
            word: &bare[..end],
            rest: &bare[end..],
            at: from + lead + end,
        });
    }
    out
}

/// The waivers of one file.
pub(super) struct Waivers(Vec<Waiver>);

impl Waivers {
    /// Reads the waivers of a file.
    pub(super) fn of(file: &FileReading<'_>) -> Self {
        let mut out = Vec::new();
        for instruction in instructions(&file.outline, &file.source) {
            let scope = match instruction.word {
                "waive" => Scope::Comment(instruction.comment),
                "waive-file" => Scope::File,
                _ => continue,
            };
            let (rules, reason) = instruction.rest.split_once("--").unwrap_or((instruction.rest, ""));
            let mut at = instruction.at;
            for part in rules.split(',') {
                let bare = part.trim();
                let start = at + (part.len() - part.trim_start().len());
                at += part.len() + 1;
                if !bare.is_empty() {
                    out.push(Waiver {
                        pattern: SmolStr::new(bare),
                        span: Span::of(start, start + bare.len()),
                        reason: reason.trim().to_owned(),
                        scope,
                        used: false,
                    });
                }
            }
        }
        Self(out)
    }

    /// Waives what the source says, and adds what is to be said of the waivers themselves.
    pub(super) fn apply(mut self, file: &FileReading<'_>, findings: &mut Vec<Finding>) {
        if self.0.is_empty() {
            return;
        }
        self.waive(file, findings);
        let level = file.settings.level(UNUSED.id);
        if level == Level::None {
            return;
        }
        for waiver in self.0.iter().filter(|waiver| !waiver.used) {
            if let Some(message) = reproach(file, waiver) {
                findings.push(unused(waiver, message, level));
            }
        }
    }

    /// Waives what the source says.
    pub(super) fn waive(&mut self, file: &FileReading<'_>, findings: &mut [Finding]) {
        let mut known: HashMap<DeclId, Vec<CommentId>> = HashMap::new();
        let mut by_comment: HashMap<CommentId, Vec<usize>> = HashMap::new();
        let mut of_file: Vec<usize> = Vec::new();
        for (at, waiver) in self.0.iter().enumerate() {
            match waiver.scope {
                Scope::File => of_file.push(at),
                Scope::Comment(comment) => by_comment.entry(comment).or_default().push(at),
            }
        }
        for finding in findings.iter_mut() {
            let around =
                finding.raw.declaration.map(|id| &*known.entry(id).or_insert_with(|| touching(file, id)));
            let itself = comment_at(file, finding.raw.span);
            let comments = around.into_iter().flatten().copied().chain(itself);
            let near = comments.filter_map(|comment| by_comment.get(&comment)).flatten().chain(&of_file);
            let found = near.copied().find(|&at| self.0[at].waives(finding.raw.rule));
            if let Some(waiver) = found.map(|at| &mut self.0[at]) {
                waiver.used = true;
                finding.state = State::Waived(waiver.reason.clone());
            }
        }
    }
}

/// Says what is wrong with a waiver that waived nothing; nothing where its rules did not run.
fn reproach(file: &FileReading<'_>, waiver: &Waiver) -> Option<String> {
    let pattern = waiver.pattern.as_str();
    let mut known = rules::ALL.iter().filter(|rule| covers(pattern, rule.id)).peekable();
    if known.peek().is_none() {
        let near = nearest(pattern, rules::ALL.iter().map(|rule| rule.id.as_str()));
        let hint = near.map(|near| format!("; did you mean `{near}`?")).unwrap_or_default();
        return Some(format!("no rule is named `{pattern}`, so this waives nothing{hint}"));
    }
    if waiver.reason.is_empty() {
        return Some(format!(
            "this waiver of `{pattern}` has no reason and counts for nothing; add one behind `--`"
        ));
    }
    // What only earlier texts tell was not asked for here.
    let ran = known.any(|rule| rule.id != STALE.id && file.settings.level(rule.id) != Level::None);
    ran.then(|| format!("there is nothing to waive for `{pattern}` here; remove the waiver"))
}

fn unused(waiver: &Waiver, message: String, level: Level) -> Finding {
    Finding {
        raw: RawFinding {
            rule: UNUSED.id,
            span: waiver.span,
            declaration: None,
            subject: waiver.pattern.clone(),
            message: message.into(),
            suggestion: None,
            related: Vec::new(),
            edits: Vec::new(),
            only_note: false,
        },
        level,
        declaration: Substr::new(),
        declaration_span: None,
        state: State::New,
    }
}

/// Returns the comments that are a declaration's own, or touch it: only white space, other comments and what belongs
/// to the declaration lie between.
fn touching(file: &FileReading<'_>, id: DeclId) -> Vec<CommentId> {
    let (outline, source) = (&file.outline, &file.source);
    let declaration = outline.declaration(id);
    let doc = declaration.comment.doc;
    let mut out: Vec<CommentId> = doc.into_iter().collect();
    let header = declaration.header();
    let start = doc.map_or(header.start, |doc| outline.comment(doc).span.start.min(header.start));
    // Above: nothing but comments may lie between.
    let mut upto = start;
    for at in (0..outline.comments.partition_point(|comment| comment.span.end <= start)).rev() {
        let comment = &outline.comments[at];
        let gap = source.slice(Span::new(comment.span.end, upto.max(comment.span.end)));
        if !gap.trim().is_empty() || gap.matches('\n').count() > 1 {
            break;
        }
        out.push(CommentId(narrow(at)));
        upto = comment.span.start;
    }
    // Between its words, behind them on their last line, and first in its body.
    let last_line = source.line(header.end.max(declaration.name_span.end));
    let first = outline.comments.partition_point(|comment| comment.span.start < header.start);
    for (at, comment) in outline.comments.iter().enumerate().skip(first) {
        let inside = comment.span.start <= header.end || source.line(comment.span.start) == last_line;
        let opens = || {
            let gap = source.slice(Span::new(header.end, comment.span.start.max(header.end)));
            comment.owner == Some(id)
                && gap.trim_matches(|c: char| c.is_whitespace() || matches!(c, '{' | ':')).is_empty()
        };
        if !inside && !opens() {
            break;
        }
        out.push(CommentId(narrow(at)));
    }
    out
}

/// Takes out of the review what the source says to skip. Returns whether that is the whole file.
pub(super) fn skip(file: &mut FileReading<'_>) -> bool {
    let (mut whole, mut touched) = (false, HashSet::new());
    for instruction in instructions(&file.outline, &file.source) {
        match instruction.word {
            "skip-file" => whole = true,
            "skip" => {
                touched.insert(instruction.comment);
            }
            _ => {}
        }
    }
    for at in 0..file.outline.declarations.len() {
        let id = DeclId(narrow(at));
        if whole
            || (!touched.is_empty() && touching(file, id).iter().any(|comment| touched.contains(comment)))
        {
            file.outline.declarations[at].hidden = true;
        }
    }
    whole
}
