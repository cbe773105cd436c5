//! The opening description.

use super::rule::{Check, Example, Rule};
use super::{Context, Findings};
use crate::model::{EntryKind, Level, RuleId};

pub(super) static MISSING: Rule = Rule {
    id: RuleId::new("summary.missing"),
    level: Level::Warning,
    says: "there are entries, and no description before them",
    why: "Lists and hovers show the first sentence; here there is none.",
    example: Example {
        language: "java",
        before: "/**\n * @param load the load in kg\n * @param crate its tag\n */\npublic void weigh(double load, int crate) {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @param load the load in kg\n * @param crate its tag\n */\npublic void weigh(double load, int crate) {}\n",
    },
    check: Check::Comment(missing),
};

fn missing(context: &Context<'_>, findings: &mut Findings<'_>) {
    let doc = context.doc;
    // Comments of only types, marks or inherit tags are no descriptions that went missing.
    let says = doc.entries.iter().any(|entry| entry.text.is_some());
    if doc.summary.is_some() || doc.blank || doc.inherits || !says {
        return;
    }
    let Some(first) = doc.entries.first() else { return };
    let declaration = context.declaration();
    let message = format!(
        "the comment of `{}` has entries and no description; begin it with a sentence",
        declaration.name
    );
    let report = findings.report(first.tag, "", message).related(declaration.name_span, "the declaration");
    if doc.entries.len() == 1 && first.kind == EntryKind::Returns {
        report.only_note();
    } else {
        report.done();
    }
}
