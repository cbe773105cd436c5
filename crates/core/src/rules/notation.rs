//! Which notation comments are in, where one is configured.

use super::rule::{Check, Example, Rule};
use super::{Context, Findings};
use crate::model::{Level, RuleId};
use crate::notations::{self, Lines};

pub(super) static OTHER: Rule = Rule {
    id: RuleId::new("notation.other"),
    level: Level::Warning,
    says: "the comment is in another notation than the configured one",
    why: "Readers that expect the one show the other as plain text.",
    example: Example {
        language: "python",
        config: "[languages.python]\nnotation = \"google\"\n",
        before: "def weigh(load):\n    \"\"\"Weigh a crate.\n\n    :param load: what it weighs in kg\n    \"\"\"\n",
        after: "def weigh(load):\n    \"\"\"Weigh a crate.\n\n    Args:\n        load: what it weighs in kg\n    \"\"\"\n",
    },
    check: Check::Comment(other),
};

pub(super) static MIXED: Rule = Rule {
    id: RuleId::new("notation.mixed"),
    level: Level::Warning,
    says: "one comment has entries of two notations, where one is configured",
    why: "Whichever a reader knows, half of the entries are lost to it.",
    example: Example {
        language: "python",
        config: "[languages.python]\nnotation = \"google\"\n",
        before: "def weigh(load, tare):\n    \"\"\"Weigh a crate.\n\n    Args:\n        load: what it weighs in kg\n\n    :param tare: of the crate in kg\n    \"\"\"\n",
        after: "def weigh(load, tare):\n    \"\"\"Weigh a crate.\n\n    Args:\n        load: what it weighs in kg\n        tare: of the crate in kg\n    \"\"\"\n",
    },
    check: Check::Comment(mixed),
};

/// Returns the notations that a comment shows evidence of, the strongest first.
fn shown(context: &Context<'_>) -> Vec<&'static str> {
    let lines = Lines::new(context.file.source, &context.doc.lines, context.file.language.dialect);
    let accepted = context.file.language.notations.iter().filter_map(|&id| notations::get(id));
    let mut found: Vec<(usize, &str)> = accepted
        .map(|notation| ((notation.evidence)(&lines), notation.id.as_str()))
        .filter(|&(count, _)| count > 0)
        .collect();
    found.sort_by_key(|&(count, _)| std::cmp::Reverse(count));
    found.into_iter().map(|(_, id)| id).collect()
}

fn other(context: &Context<'_>, findings: &mut Findings<'_>) {
    let Some(wanted) = context.file.settings.notation else { return };
    let shown = shown(context);
    let Some(found) = shown.first().filter(|_| !shown.contains(&wanted.as_str())) else { return };
    let place = context.doc.entries.first().map_or(context.doc.span, |entry| entry.tag);
    let message =
        format!("this comment is in the notation `{found}`; write it in `{wanted}`, as is configured");
    findings.report(place, found, message).done();
}

fn mixed(context: &Context<'_>, findings: &mut Findings<'_>) {
    let Some(wanted) = context.file.settings.notation.filter(|_| !context.doc.entries.is_empty()) else {
        return;
    };
    let shown = shown(context);
    if shown.len() < 2 || !shown.contains(&wanted.as_str()) {
        return;
    }
    let minor = shown.iter().rev().find(|id| **id != wanted.as_str());
    let Some(minor) = minor else { return };
    let message = format!("this comment has entries in `{wanted}` and in `{minor}`; write all in `{wanted}`");
    findings.report(context.doc.entries[0].tag, minor, message).done();
}
