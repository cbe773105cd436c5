//! What leaves a Kotlin body.

use super::Kotlin;
use crate::languages::shared::{note_guarded, raises_made};
use crate::model::{Answer, Name, Origin};
use crate::reading::{Node, Raised, Scope, Walk};

/// Handlers of these say nothing of what was thrown.
const VAGUE: &[&str] = &["Throwable", "Exception", "RuntimeException", "Error"];

/// Notes a `return`.
pub(super) fn returns<'t>(walk: &mut Walk<'t, Kotlin>, node: Node<'t>) {
    let value = walk.children(node).first().is_some_and(|&value| walk.text(value) != "Unit");
    walk.returns(if value { Answer::Yes } else { Answer::No });
}

/// Notes a `throw`.
pub(super) fn throws<'t>(walk: &mut Walk<'t, Kotlin>, node: Node<'t>) {
    let condition = walk.take_condition(node);
    let Some(&thrown) = walk.children(node).first() else { return };
    let span = walk.span(thrown);
    match walk.kind(thrown) {
        Some(Kotlin::Call) => {
            let Some(&made) = walk.children(thrown).first() else { return };
            let text = walk.text(made);
            let name = Name::simple(text);
            if !name.as_str().starts_with(char::is_uppercase) {
                walk.raises_unknown();
                return;
            }
            let exempt = matches!(name.as_str(), "AssertionError" | "NotImplementedError");
            raises_made(walk, made, (exempt, condition));
        }
        Some(Kotlin::Identifier) => {
            if !walk.rethrows(Some(walk.text(thrown)), span, VAGUE) {
                walk.raises_unknown();
            }
        }
        _ => walk.raises_unknown(),
    }
}

fn caught<'t>(walk: &Walk<'t, Kotlin>, clause: Node<'t>) -> Vec<Name> {
    let ty = walk.children(clause).into_iter().find(|&child| walk.kind(child) == Some(Kotlin::UserType));
    ty.map(|ty| vec![Name::simple(walk.text(ty))]).unwrap_or_default()
}

/// Opens what a `try` guards.
pub(super) fn tries<'t>(walk: &mut Walk<'t, Kotlin>, node: Node<'t>) {
    let types =
        walk.children_of(node, Kotlin::Catch).into_iter().flat_map(|clause| caught(walk, clause)).collect();
    if let Some(body) = walk.child(node, Kotlin::Block) {
        walk.open_at(body, Scope::Try(types));
    }
}

/// Opens a handler.
pub(super) fn handles<'t>(walk: &mut Walk<'t, Kotlin>, node: Node<'t>) {
    let types = caught(walk, node);
    let name = walk.child(node, Kotlin::Identifier).map(|name| Name::new(walk.text(name)));
    walk.open(Scope::Handler(name, types));
}

/// Notes the condition of an `if` that does nothing but throw.
pub(super) fn guard<'t>(walk: &mut Walk<'t, Kotlin>, node: Node<'t>) {
    let parts = walk.children(node);
    let [condition, then] = parts[..] else { return };
    // A body in braces may stand in a node of its own.
    let then = if then.kind() == "control_structure_body" {
        let [inner] = walk.children(then)[..] else { return };
        inner
    } else {
        then
    };
    note_guarded(walk, (condition, then), (&[Kotlin::Throw], &[Kotlin::Block]));
}

/// Notes a call; functions of the standard library that refuse what is wrong throw what they promise.
pub(super) fn calls<'t>(walk: &mut Walk<'t, Kotlin>, node: Node<'t>) {
    let Some(&callee) = walk.children(node).first() else { return };
    let span = walk.span(callee);
    let (ty, origin) = match walk.text(callee) {
        "require" | "requireNotNull" => ("IllegalArgumentException", Origin::Guard),
        "check" | "checkNotNull" => ("IllegalStateException", Origin::Guard),
        "error" => ("IllegalStateException", Origin::Body),
        "TODO" => ("NotImplementedError", Origin::Body),
        _ => {
            walk.calls();
            return;
        }
    };
    walk.raises(Raised {
        ty: Name::new(ty),
        span,
        origin,
        exempt: ty == "NotImplementedError",
        condition: None,
    });
}
