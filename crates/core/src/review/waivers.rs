//! Instructions to this program in comments: waivers of findings, and what is left out of the review.
//!
//! `vinequill: waive RULE[, RULE] -- reason`, `waive-file`, `skip`, `skip-file`, each on a line of its own.

use memchr::memmem;
use smol_str::SmolStr;

use super::FileReading;
use crate::model::{CommentId, DeclId, Finding, Level, Outline, RawFinding, State};
use crate::reading::INSTRUCTION;
use crate::rules::{self, UNUSED};
use crate::text::{Source, Span, nearest};

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
            comment: CommentId(crate::text::narrow(number)),
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
        for finding in findings.iter_mut() {
            let waiver = self.0.iter_mut().find(|waiver| {
                !waiver.reason.is_empty()
                    && matches(&waiver.pattern, finding.raw.rule.as_str())
                    && match waiver.scope {
                        Scope::File => true,
                        Scope::Comment(comment) => {
                            finding.raw.declaration.is_some_and(|id| touches(file, comment, id))
                                || file.outline.comment(comment).span.contains(finding.raw.span)
                        }
                    }
            });
            if let Some(waiver) = waiver {
                waiver.used = true;
                finding.state = State::Waived(waiver.reason.clone());
            }
        }
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
}

/// Says what is wrong with a waiver that waived nothing; nothing where its rules did not run.
fn reproach(file: &FileReading<'_>, waiver: &Waiver) -> Option<String> {
    let pattern = waiver.pattern.as_str();
    let mut known = rules::ALL.iter().filter(|rule| matches(pattern, rule.id.as_str())).peekable();
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
    let ran = known.any(|rule| file.settings.level(rule.id) != Level::None);
    ran.then(|| format!("there is nothing to waive for `{pattern}` here; remove the waiver"))
}

fn unused(waiver: &Waiver, message: String, level: Level) -> Finding {
    Finding {
        raw: RawFinding {
            rule: UNUSED.id,
            span: waiver.span,
            declaration: None,
            subject: waiver.pattern.clone(),
            message,
            suggestion: None,
            related: Vec::new(),
            edits: Vec::new(),
            only_note: false,
        },
        level,
        declaration: SmolStr::default(),
        declaration_span: None,
        state: State::New,
    }
}

fn matches(pattern: &str, rule: &str) -> bool {
    pattern.strip_suffix('*').map_or(pattern == rule, |prefix| rule.starts_with(prefix))
}

/// Tells whether a comment is a declaration's own, or touches it: only white space, other comments and what
/// belongs to the declaration lie between.
fn touches(file: &FileReading<'_>, comment: CommentId, id: DeclId) -> bool {
    let (outline, source) = (&file.outline, &file.source);
    let declaration = outline.declaration(id);
    let doc = declaration.comment.doc;
    if doc == Some(comment) {
        return true;
    }
    let raw = outline.comment(comment);
    // Behind the signature on one of its lines, or between its words.
    let header = declaration.header();
    let last_line = source.line(header.end.max(declaration.name_span.end));
    if raw.span.start >= header.start
        && source.line(raw.span.start) <= last_line
        && raw.span.start <= declaration.span.end.max(header.end) + 200
    {
        let line = source.line(raw.span.start);
        if raw.span.start <= header.end || line == last_line {
            return true;
        }
    }
    let start = doc.map_or(header.start, |doc| outline.comment(doc).span.start.min(header.start));
    if raw.span.end > start {
        // The first thing in a body, as a docstring's neighbour is.
        return raw.owner == Some(id)
            && source
                .slice(Span::new(header.end, raw.span.start.max(header.end)))
                .trim_matches(|c: char| c.is_whitespace() || matches!(c, '{' | ':'))
                .is_empty();
    }
    // Nothing but comments may lie between.
    let mut upto = start;
    for other in
        outline.comments[comment.0 as usize..].iter().rev().skip_while(|other| other.span.end > start)
    {
        let gap = source.slice(Span::new(other.span.end, upto.max(other.span.end)));
        if !gap.trim().is_empty() || gap.matches('\n').count() > 1 {
            return false;
        }
        if other.span == raw.span {
            return true;
        }
        upto = other.span.start;
    }
    false
}

/// Takes out of the review what the source says to skip. Returns whether that is the whole file.
pub(super) fn skip(file: &mut FileReading<'_>) -> bool {
    let (mut whole, mut touched) = (false, Vec::new());
    for instruction in instructions(&file.outline, &file.source) {
        match instruction.word {
            "skip-file" => whole = true,
            "skip" => touched.push(instruction.comment),
            _ => {}
        }
    }
    for at in 0..file.outline.declarations.len() {
        let id = DeclId(crate::text::narrow(at));
        if whole || touched.iter().any(|&comment| touches(file, comment, id)) {
            file.outline.declarations[at].hidden = true;
        }
    }
    whole
}
