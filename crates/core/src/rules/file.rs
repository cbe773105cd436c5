//! What files open with.

use super::rule::{Check, Example, Rule};
use super::{FileContext, Findings};
use crate::model::{Level, RuleId};
use crate::text::Span;

pub(super) static HEADER: Rule = Rule {
    id: RuleId::new("file.header"),
    level: Level::None,
    says: "the file does not open with the configured pattern",
    why: "Whoever finds the file elsewhere cannot tell whose it is, or on what terms.",
    example: Example {
        language: "java",
        config: "[header]\npattern = 'Copyright \\d{4} .+'\n",
        before: "/** Weighs a crate. */\npublic class Scale {}\n",
        after: "// Copyright 2026 Sallow Ridge\n\n/** Weighs a crate. */\npublic class Scale {}\n",
    },
    check: Check::File(header),
};

/// In how many lines the header must have begun.
const REACH: usize = 20;

/// Tells whether a comment at the top of a file holds what is configured for it: the pattern, or without one the first
/// of `lines`.
pub(crate) fn has_header(file: &FileContext<'_>, lines: &[String]) -> bool {
    let text = file.source.text();
    let end = text.match_indices('\n').nth(REACH).map_or(text.len(), |(at, _)| at);
    let in_comment = |at: usize| {
        let at = Span::of(at, at);
        file.outline.comments.iter().any(|comment| comment.span.contains(at))
    };
    match (&file.settings.header, lines.first()) {
        (Some(pattern), _) => pattern.find_iter(&text[..end]).any(|found| in_comment(found.start())),
        (None, Some(line)) => text[..end].match_indices(line.as_str()).any(|(at, _)| in_comment(at)),
        (None, None) => true,
    }
}

fn header(file: &FileContext<'_>, findings: &mut Findings<'_>) {
    let Some(pattern) = &file.settings.header else { return };
    if has_header(file, &[]) {
        return;
    }
    let text = file.source.text();
    let first = text.split('\n').next().unwrap_or_default().trim_end().len();
    let message = format!("the file does not open with `{pattern}`; put it in a comment at the top");
    findings.report(Span::of(0, first), "", message).done();
}
