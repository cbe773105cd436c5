//! What could not be read.

use super::rule::{Check, Example, Rule};
use super::{FileContext, Findings};
use crate::model::{Level, RuleId};

pub(super) static PARTIAL: Rule = Rule {
    id: RuleId::new("parse.partial"),
    level: Level::Note,
    says: "part of a file was not understood and so not checked",
    why: "Silence about it would look like a clean review.",
    example: Example {
        language: "java",
        config: "",
        before: "/** A scale. */\npublic class Scale {\n    int load = = 3;\n}\n",
        after: "/** A scale. */\nclass Scale {\n    int load = 3;\n}\n",
    },
    check: Check::File(partial),
};

fn partial(file: &FileContext<'_>, findings: &mut Findings<'_>) {
    let whole = file.source.text().trim().len();
    for &span in &file.outline.unparsed {
        let message = if file.source.slice(span).trim().len() < whole {
            "this was not understood and not checked; the rest of the file was"
        } else {
            "nothing of this file was understood, so none of it was checked"
        };
        findings.report(span, "", message.to_owned()).done();
    }
}
