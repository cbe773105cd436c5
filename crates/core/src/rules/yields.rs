//! Entries for the values of generators, where the notation has a place for them.

use super::rule::{Check, Example, Rule};
use super::{Context, Findings};
use crate::model::{Answer, Body, EntryKind, Kind, Level, RuleId};

pub(super) static MISSING: Rule = Rule {
    id: RuleId::new("yields.missing"),
    level: Level::Warning,
    says: "values are yielded, the comment owes an entry for them and has none",
    why: "Callers cannot tell what they iterate over.",
    example: Example {
        language: "python",
        config: "",
        before: "def loads(crates):\n    \"\"\"Weigh crates.\n\n    Args:\n        crates: their tags\n    \"\"\"\n    for crate in crates:\n        yield crate\n",
        after: "def loads(crates):\n    \"\"\"Weigh crates.\n\n    Args:\n        crates: their tags\n\n    Yields:\n        the net load of each, in kg\n    \"\"\"\n    for crate in crates:\n        yield crate\n",
    },
    check: Check::Comment(missing),
};

pub(super) static UNEXPECTED: Rule = Rule {
    id: RuleId::new("yields.unexpected"),
    level: Level::Error,
    says: "there is an entry for yielded values, and nothing is yielded",
    why: "It promises an iteration that callers will try in vain.",
    example: Example {
        language: "python",
        config: "",
        before: "def loads(crates):\n    \"\"\"Weigh crates.\n\n    Args:\n        crates: their tags\n\n    Yields:\n        the net load of each, in kg\n    \"\"\"\n    crates.sort()\n",
        after: "def loads(crates):\n    \"\"\"Weigh crates.\n\n    Args:\n        crates: their tags\n    \"\"\"\n    crates.sort()\n",
    },
    check: Check::Comment(unexpected),
};

fn missing(context: &Context<'_>, findings: &mut Findings<'_>) {
    if !context.debt.yields || context.doc.has(EntryKind::Yields) || context.doc.has(EntryKind::Returns) {
        return;
    }
    let declaration = context.declaration();
    // A coroutine that is written as a generator yields nothing of use.
    let declared = declaration.signature.returns.ty.map_or("", |ty| context.slice(ty));
    if declared.contains("[None,") || declared.contains("[None]") {
        return;
    }
    let entry = context.spell(EntryKind::Yields, "");
    let message =
        format!("`{}` yields values and the comment does not say which; add `{entry}`", declaration.name);
    findings.report(declaration.name_span, "", message).related(context.doc.span, "this comment").done();
}

fn unexpected(context: &Context<'_>, findings: &mut Findings<'_>) {
    let declaration = context.declaration();
    let returns = &declaration.signature.returns;
    // A function that hands on an iterator returns a value, and may well speak of what that yields.
    let nothing = declaration.body == Body::Present && !returns.yields && returns.value == Answer::No;
    let nothing = nothing && !objects_yield(context);
    let Some(entry) = context.doc.entries_of(EntryKind::Yields).next().filter(|_| nothing) else { return };
    let spelt = context.spell(EntryKind::Yields, "");
    let message = format!("`{spelt}` promises values, and the code yields none; remove the entry");
    findings.report(entry.tag, "", message).related(declaration.name_span, "nothing is yielded").done();
}

/// Tells whether the comment speaks of a class whose objects are iterated over, or yield when they are called.
fn objects_yield(context: &Context<'_>) -> bool {
    let declaration = context.declaration();
    let class = if declaration.kind.is_type() { Some(context.id) } else { declaration.owner };
    (declaration.kind.is_type() || declaration.kind == Kind::Constructor)
        && context.file.outline.declarations.iter().any(|member| {
            member.owner == class
                && matches!(member.name.as_str(), "__iter__" | "__aiter__" | "__next__" | "__call__")
        })
}
