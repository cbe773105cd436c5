//! What is deprecated in the code against what the comment says.

use super::rule::{Check, Example, Rule};
use super::{Context, Findings};
use crate::model::{Excuse, Kind, Level, RuleId};

pub(super) static MISMATCH: Rule = Rule {
    id: RuleId::new("deprecated.mismatch"),
    level: Level::Warning,
    says: "the code is deprecated and the comment does not say so, or the other way round",
    why: "Callers learn from the compiler that they should stop, and from nobody what to use instead.",
    example: Example {
        language: "java",
        config: "",
        before: "/** Weighs a crate. */\n@Deprecated\npublic void weigh() {}\n",
        after: "/**\n * Weighs a crate.\n *\n * @deprecated use the bridge scale\n */\n@Deprecated\npublic void weigh() {}\n",
    },
    check: Check::Comment(mismatch),
};

fn mismatch(context: &Context<'_>, findings: &mut Findings<'_>) {
    let (doc, declaration) = (context.doc, context.declaration());
    let custom = context.file.language.deprecation;
    // What rewrites the comment may well say so.
    if declaration.computed_comment
        || doc.inherits
        || doc.blank
        // Nobody is to use something else in its place.
        || declaration.excuses.contains(&Excuse::Tests)
        || matches!(declaration.kind, Kind::File | Kind::Module | Kind::Package)
    {
        return;
    }
    if declaration.deprecated && !doc.deprecated && custom.comment_follows {
        // Any word of it will do.
        let text = doc.prose(context.file.source, doc.span).to_lowercase();
        if [
            "deprecat", "obsolete", "no longer", "do not use", "instead", "compatibility", "legacy",
            "be removed",
        ]
        .iter()
        .any(|word| text.contains(word))
        {
            return;
        }
        let message = format!(
            "`{}` is deprecated and its comment does not say so; say what to use instead",
            declaration.name
        );
        findings.report(declaration.name_span, "", message).related(doc.span, "this comment").done();
    } else if doc.deprecated && !declaration.deprecated && custom.code_follows {
        let is_mark = |mark: &&crate::model::Mark| mark.name == "deprecated";
        let span = doc.marks.iter().find(is_mark).map_or(doc.span, |mark| mark.span);
        let message = format!(
            "the comment says that `{}` is deprecated and the code does not; mark it, or remove the tag",
            declaration.name
        );
        findings.report(declaration.name_span, "", message).related(span, "deprecated here").done();
    }
}
