//! What leaves a Python body.

use super::kinds::{self, Python};
use crate::languages::shared::refuses_null;
use crate::model::{Answer, Name, Origin};
use crate::reading::{Next, Node, Raised, Scope, Walk};
use crate::text::Span;

/// Types that a handler may name without telling what was thrown.
const VAGUE: &[&str] = &["BaseException", "Exception"];

/// Types that mark what is not meant to happen, or is not there yet.
const EXEMPT: &[&str] = &["NotImplementedError", "AssertionError", "NotImplemented"];

/// Exceptions of the standard library with lower-case names.
const LOWER: &[&str] = &["error", "timeout", "herror", "gaierror"];

/// Looks at a statement as text: one without function values, yields and assigned docstrings holds
/// nothing but perhaps a call, and need not be gone into.
pub(super) fn skims(walk: &mut Walk<'_, Python>, node: Node<'_>) -> Next {
    // One pass: there are as many such statements as lines of code, and most are short.
    let bytes = walk.text(node).as_bytes();
    let mut calls = false;
    for (at, &byte) in bytes.iter().enumerate() {
        let holds = |what: &[u8]| bytes[at..].starts_with(what);
        match byte {
            b'#' => return Next::Into,
            b'l' if holds(b"lambda") => return Next::Into,
            b'y' if holds(b"yield") => return Next::Into,
            b'_' if holds(b"__doc__") => return Next::Into,
            b'(' => calls = true,
            b'a' if holds(b"await") => calls = true,
            b' ' if holds(b" for ") => calls = true,
            _ => {}
        }
    }
    if calls {
        walk.calls();
    }
    walk.over_calls()
}

/// Notes a `return`.
pub(super) fn returns(walk: &mut Walk<'_, Python>, node: Node<'_>) {
    let value = walk.children(node).into_iter().next();
    let nothing = value.is_none_or(|value| walk.kind(value) == Some(Python::None));
    walk.returns(if nothing { Answer::No } else { Answer::Yes });
}

/// Exceptions that end a program or a task: what lets them pass has not made them, and is not asked for them.
const PASSING: &[&str] = &["KeyboardInterrupt", "GeneratorExit", "CancelledError"];

/// Throws again what a handler caught; false when there is none.
fn rethrows(walk: &mut Walk<'_, Python>, variable: Option<&str>, at: Span) -> bool {
    let found = walk.rethrows(variable, at, VAGUE);
    walk.exempts(at, PASSING);
    found
}

/// Notes a `raise`.
pub(super) fn raises(walk: &mut Walk<'_, Python>, node: Node<'_>) {
    let condition = walk.take_condition(node);
    let span = walk.span(node);
    let Some(raised) = node.named_child(0).filter(|child| !walk.is_comment(*child)) else {
        if !rethrows(walk, None, span) {
            walk.raises_unknown();
        }
        return;
    };
    let called = walk.kind(raised) == Some(Python::Call);
    let ty = if called { walk.field(raised, kinds::FUNCTION).unwrap_or(raised) } else { raised };
    let last = match walk.kind(ty) {
        Some(Python::Identifier) => ty,
        Some(Python::Attribute) => walk.field(ty, kinds::ATTRIBUTE).unwrap_or(ty),
        _ => {
            walk.raises_unknown();
            return;
        }
    };
    let name = walk.text(last);
    if !called && walk.kind(ty) == Some(Python::Identifier) {
        let at = walk.span(ty);
        if rethrows(walk, Some(name), at) {
            return;
        }
    }
    let lower = name.trim_start_matches('_').starts_with(char::is_lowercase);
    let constant = name.len() > 1 && !name.chars().any(char::is_lowercase) && !called;
    if (lower && !LOWER.contains(&name)) || constant {
        walk.raises_unknown();
        return;
    }
    let refuses = refuses_null(walk, condition);
    walk.raises(Raised {
        ty: Name::new(name),
        span: walk.span(last),
        origin: if refuses { Origin::Guard } else { Origin::Body },
        exempt: EXEMPT.contains(&name),
        condition,
    });
}

/// Opens what a `try` guards.
pub(super) fn tries<'t>(walk: &mut Walk<'t, Python>, node: Node<'t>) {
    let mut caught = Vec::new();
    for clause in walk.children(node) {
        if walk.kind(clause) == Some(Python::Except) {
            let (_, types) = caught_by(walk, clause);
            if types.is_empty() {
                caught.push(Name::new("BaseException"));
            }
            caught.extend(types);
        }
    }
    if let Some(body) = walk.field(node, kinds::BODY) {
        walk.open_at(body, Scope::Try(caught));
    }
}

/// Returns the variable and the types of a handler; no types for one that catches everything.
fn caught_by(walk: &Walk<'_, Python>, clause: Node<'_>) -> (Option<Name>, Vec<Name>) {
    let mut cursor = clause.walk();
    let values: Vec<_> = clause.children_by_field_name(kinds::VALUE, &mut cursor).collect();
    let mut variable = walk.field(clause, kinds::ALIAS).map(|alias| Name::new(walk.text(alias)));
    let mut types = Vec::new();
    for mut value in values {
        if walk.kind(value) == Some(Python::AsPattern) {
            if let Some(alias) = walk.field(value, kinds::ALIAS) {
                variable = Some(Name::new(walk.text(alias)));
            }
            let Some(inner) = value.named_child(0) else { continue };
            value = inner;
        }
        if walk.kind(value) == Some(Python::Tuple) {
            types.extend(walk.children(value).into_iter().map(|ty| Name::simple(walk.text(ty))));
        } else {
            types.push(Name::simple(walk.text(value)));
        }
    }
    (variable, types)
}

/// Opens a handler.
pub(super) fn handles<'t>(walk: &mut Walk<'t, Python>, node: Node<'t>) {
    let (variable, types) = caught_by(walk, node);
    walk.open(Scope::Handler(variable, types));
}

/// A `with` calls code that is not seen; `suppress` catches like a handler.
pub(super) fn suppresses<'t>(walk: &mut Walk<'t, Python>, node: Node<'t>) {
    walk.calls();
    let Some(body) = walk.field(node, kinds::BODY) else { return };
    let header = walk.source.slice(Span::new(walk.span(node).start, walk.span(body).start));
    let Some((_, rest)) = header.split_once("suppress(") else { return };
    let list = rest.split(')').next().unwrap_or_default();
    let caught = list.split(',').map(Name::simple).filter(|name| !name.as_str().is_empty()).collect();
    walk.open_at(body, Scope::Try(caught));
}

/// Notes the condition of an `if` that does nothing but raise.
pub(super) fn guards<'t>(walk: &mut Walk<'t, Python>, node: Node<'t>) {
    let (Some(condition), Some(then)) =
        (walk.field(node, kinds::CONDITION), walk.field(node, kinds::CONSEQUENCE))
    else {
        return;
    };
    if let [only] = walk.children(then)[..]
        && walk.kind(only) == Some(Python::Raise)
    {
        walk.guard_at(only, walk.span(condition));
    }
}

/// A comment that code assigns is not the one that stands in the source.
pub(super) fn notes_assigned_doc(walk: &mut Walk<'_, Python>, left: Node<'_>) {
    let text = walk.text(left);
    let Some(target) = text.strip_suffix(".__doc__") else { return };
    let owner = walk.owner();
    for declaration in &mut walk.outline.declarations {
        // A name is looked for where it stands; a path leads from the module.
        let here = declaration.owner == owner && declaration.name == target;
        if here || (target.contains('.') && declaration.qualified == target) {
            declaration.computed_comment = true;
            declaration.unasked |= declaration.comment.doc.is_none();
        }
    }
}
