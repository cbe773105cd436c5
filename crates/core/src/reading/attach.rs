//! Finds out which declaration each comment belongs to, and which comments belong to none.

use super::{CommentPlace, Language};
use crate::model::{Attached, Carrier, CommentId, Misplaced, Outline};
use crate::text::{Source, Span, narrow};

/// Attaches the comments of an outline to its declarations.
pub(super) fn attach(outline: &mut Outline, source: &Source, language: &Language) {
    let mut found: Vec<(usize, Attached)> = Vec::new();
    for (at, declaration) in outline.declarations.iter().enumerate() {
        let mut attached = declaration.comment;
        if language.place == CommentPlace::Above && attached.doc.is_none() {
            attached.doc = doc_above(outline, source, declaration.span.start);
        }
        if attached.doc.is_none() && attached.misplaced.is_none() {
            attached.misplaced =
                after_annotations(outline, language, declaration.span.start, declaration.name_span)
                    .or_else(|| beyond_separators(outline, source, declaration.span.start))
                    .or_else(|| ordinary_above(outline, source, declaration.span.start));
        }
        if attached != declaration.comment {
            found.push((at, attached));
        }
    }
    for (at, attached) in found {
        let used = [attached.doc, attached.misplaced.and_then(detached)];
        for id in used.into_iter().flatten() {
            outline.comments[id.0 as usize].attached = true;
        }
        outline.declarations[at].comment = attached;
    }
}

const fn detached(misplaced: Misplaced) -> Option<CommentId> {
    match misplaced {
        Misplaced::Detached(id) => Some(id),
        Misplaced::Ordinary(_) => None,
    }
}

/// Returns the index behind the last comment that ends at or before `start`.
fn before(outline: &Outline, start: u32) -> usize {
    outline.comments.partition_point(|comment| comment.span.end <= start)
}

fn id(at: usize) -> CommentId {
    CommentId(narrow(at))
}

/// Returns the doc comment that ends right above `start`: only white space, other comments and
/// preprocessor lines lie between.
fn doc_above(outline: &Outline, source: &Source, start: u32) -> Option<CommentId> {
    let mut upto = start;
    for at in (0..before(outline, start)).rev() {
        let comment = &outline.comments[at];
        // A comment behind other code on its line belongs to that code.
        if comment.attached && comment.carrier == Carrier::Docstring
            || !parts_nothing(source, comment.span.end, upto)
        {
            return None;
        }
        if comment.doc && !is_trailing(source, comment.span) {
            return Some(id(at));
        }
        upto = comment.span.start;
    }
    None
}

fn is_trailing(source: &Source, comment: Span) -> bool {
    let line = source.line(comment.start);
    source.line_span(line).is_some_and(|span| {
        let before = source.slice(Span::new(span.start, comment.start)).trim();
        !before.is_empty() && !before.ends_with(['{', ';', '}', '(', ',', '/'])
    })
}

/// Tells whether only white space and preprocessor lines lie between two offsets.
fn parts_nothing(source: &Source, from: u32, upto: u32) -> bool {
    source.slice(Span::new(from, upto.max(from))).lines().all(|line| {
        let line = line.trim();
        line.is_empty() || line.starts_with('#')
    })
}

/// Returns a doc comment that stands between annotations and the name, where the language drops it.
fn after_annotations(outline: &Outline, language: &Language, start: u32, name: Span) -> Option<Misplaced> {
    if !language.drops_after_annotations {
        return None;
    }
    let from = before(outline, start);
    let inside = outline.comments[from..].iter().take_while(|comment| comment.span.end <= name.start);
    inside.enumerate().find(|(_, c)| c.doc && !c.attached).map(|(at, _)| Misplaced::Detached(id(from + at)))
}

/// Returns a doc comment that imports or the like part from the declaration.
fn beyond_separators(outline: &Outline, source: &Source, start: u32) -> Option<Misplaced> {
    let mut upto = start;
    let mut parted = false;
    let mut separators =
        outline.separators[..outline.separators.partition_point(|s| s.end <= start)].iter().rev();
    let mut separator = separators.next();
    for at in (0..before(outline, start)).rev() {
        let comment = &outline.comments[at];
        while let Some(found) = separator.filter(|found| found.start >= comment.span.end) {
            if !parts_nothing(source, found.end, upto) {
                return None;
            }
            upto = found.start;
            parted = true;
            separator = separators.next();
        }
        if !parts_nothing(source, comment.span.end, upto) {
            return None;
        }
        if comment.doc {
            // The file's own header is never detached.
            return (parted && at > 0 && !comment.attached).then(|| Misplaced::Detached(id(at)));
        }
        upto = comment.span.start;
    }
    None
}

/// Returns an ordinary comment directly above the declaration that reads like its documentation.
fn ordinary_above(outline: &Outline, source: &Source, start: u32) -> Option<Misplaced> {
    let at = before(outline, start).checked_sub(1)?;
    let comment = &outline.comments[at];
    let gap = source.slice(Span::new(comment.span.end, start));
    let directly = gap.trim().is_empty() && gap.matches('\n').count() == 1;
    let placed = directly && !comment.doc && !comment.attached && !comment.in_body;
    (placed && reads_as_documentation(source.slice(comment.span))).then(|| Misplaced::Ordinary(id(at)))
}

/// Tells whether an ordinary comment reads like documentation: no divider, licence, directive,
/// reminder or commented-out code.
pub(super) fn reads_as_documentation(text: &str) -> bool {
    let words: Vec<&str> = text
        .split(|c: char| c.is_whitespace() || matches!(c, '/' | '*' | '#'))
        .filter(|word| word.chars().any(char::is_alphabetic))
        .collect();
    let lower = text.to_ascii_lowercase();
    let reminder = [
        "todo",
        "fixme",
        "xxx",
        "hack",
        "bug:",
        "nolint",
        "noqa",
        "pylint",
        "type:",
        "nosonar",
        "noinspection",
    ];
    let licence = ["copyright", "license", "licence", "spdx", "(c)", "all rights reserved"];
    let directive = [
        "@ts-",
        "eslint",
        "clang-format",
        "checkstyle",
        "resharper",
        "region",
        "pragma",
        "fmt:",
        "isort:",
        "vinequill:",
    ];
    let code_line = |line: &str| {
        let line = line.trim_matches(|c: char| c.is_whitespace() || matches!(c, '/' | '*' | '#'));
        line.ends_with([';', '{', '}', ')', '=', ','])
            || line.contains(" = ")
            || line.contains("==")
            || line.contains("();")
            || line.starts_with("return ")
            || line.starts_with("import ")
            || line.starts_with('@')
    };
    let divider = ["----", "====", "****", "####", "~~~~", "////", "____", "....", "<<<<", ">>>>"];
    words.len() >= 3
        && !reminder.iter().chain(&licence).chain(&directive).any(|mark| lower.contains(mark))
        && !divider.iter().any(|mark| text.contains(mark))
        && !text.lines().any(code_line)
}

#[cfg(test)]
mod tests {
    use super::reads_as_documentation;

    #[test]
    fn remarks_are_told_from_dividers_and_code() {
        assert!(reads_as_documentation("// Weighs a crate of grapes."));
        assert!(!reads_as_documentation("// ---- weighing the crates ----"));
        assert!(!reads_as_documentation("// TODO weigh twice here"));
        assert!(!reads_as_documentation("// int weigh(Crate crate);"));
        assert!(!reads_as_documentation("/* Copyright of the cooperative, all of it */"));
    }
}
