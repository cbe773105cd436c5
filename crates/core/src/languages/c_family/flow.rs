//! What leaves a C++ body.

use super::kinds::C;
use crate::languages::shared::{note_guarded, raises_made};
use crate::model::Name;
use crate::reading::{Node, Scope, Walk};
use crate::text::Span;

/// Stands for everything that can be thrown.
const ANYTHING: &str = "...";

/// Handlers of these say nothing of what was thrown.
const VAGUE: &[&str] = &["exception"];

/// Notes a `throw`.
pub(super) fn throws<'t>(walk: &mut Walk<'t, C>, node: Node<'t>) {
    let condition = walk.take_condition(node);
    let span = walk.span(node);
    let Some(&thrown) = walk.children(node).first() else {
        if !walk.rethrows(None, span, VAGUE) {
            walk.raises_unknown();
        }
        return;
    };
    raises(walk, thrown, (span, condition));
}

/// Notes what is thrown inside `… ? … : throw …`: the grammar was given it without the word.
pub(super) fn throws_inside<'t>(walk: &mut Walk<'t, C>, node: Node<'t>) {
    for branch in walk.children(node) {
        let span = walk.span(branch);
        let before = walk.source.text()[..span.start as usize].trim_end();
        if before.ends_with("throw") {
            raises(walk, branch, (span, None));
        }
    }
}

fn raises<'t>(walk: &mut Walk<'t, C>, thrown: Node<'t>, (span, condition): (Span, Option<Span>)) {
    let made = match walk.kind(thrown) {
        Some(C::Call) => walk.field(thrown, "function"),
        Some(C::Literal) => walk.field(thrown, "type"),
        Some(C::Identifier) => {
            if !walk.rethrows(Some(walk.text(thrown)), span, VAGUE) {
                walk.raises_unknown();
            }
            return;
        }
        _ => None,
    };
    let Some(made) = made.filter(|&made| is_type_name(walk.text(made))) else {
        walk.raises_unknown();
        return;
    };
    raises_made(walk, made, (false, condition));
}

/// A name, perhaps qualified: a function that makes the exception cannot be told from its type by more.
fn is_type_name(text: &str) -> bool {
    let name = Name::simple(text);
    let name = name.as_str();
    let plain = text.chars().all(|c| c.is_alphanumeric() || matches!(c, '_' | ':' | '<' | '>' | ' ' | ','));
    let verb = ["make", "create", "get", "build", "wrap", "to"].iter().any(|verb| {
        name.strip_prefix(verb)
            .is_some_and(|rest| rest.starts_with('_') || rest.starts_with(char::is_uppercase))
    });
    plain && !verb && !name.is_empty()
}

fn caught<'t>(walk: &Walk<'t, C>, clause: Node<'t>) -> (Option<Name>, Vec<Name>) {
    let Some(list) = walk.field(clause, "parameters") else { return (None, Vec::new()) };
    let Some(parameter) = walk.child(list, C::Parameter) else { return (None, vec![Name::new(ANYTHING)]) };
    let ty = walk.field(parameter, "type").map(|ty| Name::simple(walk.text(ty)));
    let mut name = walk.field(parameter, "declarator");
    while let Some(inner) = name.filter(|&name| walk.kind(name) != Some(C::Identifier)) {
        name = walk.children(inner).into_iter().next();
    }
    (name.map(|name| Name::new(walk.text(name))), ty.into_iter().collect())
}

/// Opens what a `try` guards.
pub(super) fn tries<'t>(walk: &mut Walk<'t, C>, node: Node<'t>) {
    let types =
        walk.children_of(node, C::Catch).into_iter().flat_map(|clause| caught(walk, clause).1).collect();
    if let Some(body) = walk.field(node, "body") {
        walk.open_at(body, Scope::Try(types));
    }
}

/// Opens a handler.
pub(super) fn handles<'t>(walk: &mut Walk<'t, C>, node: Node<'t>) {
    let (name, types) = caught(walk, node);
    let types = types.into_iter().filter(|ty| ty != ANYTHING).collect();
    walk.open(Scope::Handler(name, types));
}

/// Notes the condition of an `if` that does nothing but throw.
pub(super) fn guard<'t>(walk: &mut Walk<'t, C>, node: Node<'t>) {
    let (Some(condition), Some(then)) = (walk.field(node, "condition"), walk.field(node, "consequence"))
    else {
        return;
    };
    let value = walk.field(condition, "value").unwrap_or(condition);
    note_guarded(walk, (value, then), (&[C::Throw], &[C::Block]));
}
