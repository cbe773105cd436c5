//! Tags that the notation does not know.

use super::rule::{Check, Example, Rule};
use super::{Context, Findings};
use crate::model::{Level, MarkStanding, RuleId};

pub(super) static UNKNOWN: Rule = Rule {
    id: RuleId::new("tag.unknown"),
    level: Level::Warning,
    says: "a lower-case tag is not known and near to a known one",
    why: "Readers drop what they do not know, and the entry with it.",
    example: Example {
        language: "java",
        before: "/**\n * Weighs a crate.\n *\n * @parm load the load in kg\n */\npublic void weigh(double load) {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @param load the load in kg\n */\npublic void weigh(double load) {}\n",
    },
    check: Check::Comment(unknown),
};

fn unknown(context: &Context<'_>, findings: &mut Findings<'_>) {
    let settings = context.file.settings;
    for mark in &context.doc.marks {
        let name = mark.name.as_str();
        if !name.starts_with(char::is_lowercase) || settings.tags.iter().any(|tag| tag == name) {
            continue;
        }
        match mark.standing {
            MarkStanding::Near(meant) => {
                let message = format!("`{name}` is no tag of this notation; did you mean `{meant}`?");
                findings.report(mark.span, name, message).replace(mark.span, meant);
            }
            MarkStanding::Unknown if settings.tags_closed => {
                let message = format!(
                    "`{name}` is no tag of this notation; add it to `tags` in the configuration or remove it"
                );
                findings.report(mark.span, name, message).done();
            }
            MarkStanding::Unknown | MarkStanding::Known => {}
        }
    }
}
