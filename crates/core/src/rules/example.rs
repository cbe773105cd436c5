//! Examples in comments.

use super::rule::{Check, Example, Rule};
use super::{Context, Findings};
use crate::model::{Level, RuleId};

pub(super) static MISSING: Rule = Rule {
    id: RuleId::new("example.missing"),
    level: Level::None,
    says: "a comment of a configured kind shows no example",
    why: "A call that works says more than a page of text.",
    example: Example {
        language: "python",
        config: "[languages.python]\nexamples = [\"function\"]\n",
        before: "def weigh(load):\n    \"\"\"Weigh a crate.\"\"\"\n",
        after: "def weigh(load):\n    \"\"\"Weigh a crate.\n\n    >>> weigh(3)\n    \"\"\"\n",
    },
    check: Check::Comment(missing),
};

fn missing(context: &Context<'_>, findings: &mut Findings<'_>) {
    let (doc, declaration) = (context.doc, context.declaration());
    if !context.file.settings.examples.contains(&declaration.kind) || doc.inherits {
        return;
    }
    let named = |name: &str| {
        matches!(name.to_lowercase().as_str(), "example" | "examples" | "usage" | "snippet" | "code")
    };
    let text = context.slice(doc.span);
    let shown = doc.marks.iter().any(|mark| named(mark.name.as_str()))
        || doc.sections.iter().any(|section| named(section.title))
        || ["```", ">>> ", "<pre", "<code>", "{@snippet", "@code", "\\code", "# Example", "::\n"]
            .iter()
            .any(|mark| text.contains(mark));
    if !shown {
        let message = format!(
            "the comment of `{}` shows no example; add one, as is configured for every {}",
            declaration.name,
            declaration.kind.as_str()
        );
        findings.report(declaration.name_span, "", message).related(doc.span, "this comment").done();
    }
}
