//! The wording of descriptions.

use super::rule::{Check, Example, Rule};
use super::{Context, Findings};
use crate::model::{Level, RuleId};
use crate::placeholder::is_placeholder;

pub(super) static PLACEHOLDER: Rule = Rule {
    id: RuleId::new("text.placeholder"),
    level: Level::Warning,
    says: "placeholder text is left over",
    why: "It is an embarrassment to whoever published it, and no help to whoever reads it.",
    example: Example {
        language: "java",
        before: "/**\n * Weighs a crate.\n *\n * @param load TODO: describe\n */\npublic void weigh(double load) {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @param load the load in kg\n */\npublic void weigh(double load) {}\n",
    },
    check: Check::Comment(placeholder),
};

fn placeholder(context: &Context<'_>, findings: &mut Findings<'_>) {
    let own = &context.file.settings.placeholder;
    let doc = context.doc;
    let name = context.declaration().name.as_str();
    if let Some(span) = doc.summary
        && is_placeholder(&doc.prose(context.file.source, span), name, own)
    {
        let message = format!("the description of `{name}` is a placeholder; say what it is for");
        findings.report(span, "", message).done();
    }
    for entry in &doc.entries {
        let Some(span) = entry.text else { continue };
        let subject = entry.name().map_or("", |name| name.name.as_str());
        if is_placeholder(&context.text_of(entry), subject, own) {
            let what = if subject.is_empty() { "what comes back".to_owned() } else { format!("`{subject}`") };
            let message = format!("the entry for {what} is a placeholder; describe it");
            findings.report(span, subject, message).done();
        }
    }
}
