//! What leaves a Java body.

use super::kinds::{self, Java};
use crate::languages::shared::refuses_null;
use crate::model::{Answer, Name, Origin};
use crate::reading::{Next, Node, Raised, Scope, Walk};

/// Types that a handler may name without telling what was thrown.
const VAGUE: &[&str] = &["Throwable", "Exception", "RuntimeException", "Error"];

/// Types that mark what is not meant to happen, or is not there yet.
const EXEMPT: &[&str] = &["AssertionError", "NotImplementedException"];

/// Looks at a statement as text: one without function values, class bodies, doc comments and guard
/// helpers holds nothing but perhaps a call, and need not be gone into.
pub(super) fn skims(walk: &mut Walk<'_, Java>, node: Node<'_>) -> Next {
    let text = walk.text(node);
    let holds = |what: &str| memchr::memmem::find(text.as_bytes(), what.as_bytes()).is_some();
    if holds("{") || holds("->") || holds("/**") || holds("Objects") || holds("///") {
        return Next::Into;
    }
    if holds("(") {
        walk.calls();
    }
    walk.over_calls()
}

/// Notes a `return`.
pub(super) fn returns(walk: &mut Walk<'_, Java>, node: Node<'_>) {
    let value = if node.named_child_count() > 0 { Answer::Yes } else { Answer::No };
    walk.returns(value);
}

/// Notes a `throw`.
pub(super) fn throws(walk: &mut Walk<'_, Java>, node: Node<'_>) {
    let condition = walk.take_condition(node);
    let Some(mut thrown) = walk.children(node).into_iter().next() else { return };
    loop {
        let inner = match walk.kind(thrown) {
            Some(Java::Parenthesized) => walk.children(thrown).into_iter().next(),
            Some(Java::Cast) => walk.field(thrown, kinds::VALUE),
            _ => None,
        };
        match inner {
            Some(inner) => thrown = inner,
            None => break,
        }
    }
    match walk.kind(thrown) {
        Some(Java::Creation) => {
            let Some(ty) = walk.field(thrown, kinds::TYPE) else { return };
            let name = Name::simple(walk.text(ty));
            let only_refuses_null = refuses_null(walk, condition);
            walk.raises(Raised {
                span: walk.span(ty),
                origin: if only_refuses_null { Origin::Guard } else { Origin::Body },
                exempt: EXEMPT.contains(&name.as_str()) || is_stub(node, name.as_str(), condition.is_some()),
                ty: name,
                condition,
            });
        }
        Some(Java::Identifier) => {
            let name = walk.text(thrown);
            let span = walk.span(thrown);
            if !walk.rethrows(Some(name), span, VAGUE) {
                walk.raises_unknown();
            }
        }
        _ => walk.raises_unknown(),
    }
}

/// A body that consists of refusing to do anything.
fn is_stub(throw: Node<'_>, ty: &str, conditional: bool) -> bool {
    let alone = throw.prev_named_sibling().is_none() && throw.next_named_sibling().is_none();
    ty == "UnsupportedOperationException" && alone && !conditional
}

/// Opens what a `try` guards.
pub(super) fn tries<'t>(walk: &mut Walk<'t, Java>, node: Node<'t>) {
    let mut caught = Vec::new();
    for clause in walk.children(node) {
        if walk.kind(clause) == Some(Java::Catch) {
            caught.extend(caught_types(walk, clause));
        }
    }
    if walk.field(node, kinds::RESOURCES).is_some() {
        // Closing a resource calls code that is not seen.
        walk.calls();
    }
    for field in [kinds::RESOURCES, kinds::BODY] {
        if let Some(guarded) = walk.field(node, field) {
            walk.open_at(guarded, Scope::Try(caught.clone()));
        }
    }
}

fn caught_types(walk: &Walk<'_, Java>, clause: Node<'_>) -> Vec<Name> {
    let Some(parameter) = catch_parameter(walk, clause) else { return Vec::new() };
    let Some(types) = walk.children(parameter).into_iter().find(|&c| walk.kind(c) == Some(Java::CatchType))
    else {
        return Vec::new();
    };
    walk.children(types).into_iter().map(|ty| Name::simple(walk.text(ty))).collect()
}

fn catch_parameter<'t>(walk: &Walk<'_, Java>, clause: Node<'t>) -> Option<Node<'t>> {
    let mut cursor = clause.walk();
    clause.named_children(&mut cursor).find(|&c| walk.kind(c) == Some(Java::CatchParameter))
}

/// Opens a handler.
pub(super) fn handles<'t>(walk: &mut Walk<'t, Java>, node: Node<'t>) {
    let types = caught_types(walk, node);
    let name = catch_parameter(walk, node)
        .and_then(|parameter| walk.field(parameter, kinds::NAME))
        .map(|name| Name::new(walk.text(name)));
    walk.open(Scope::Handler(name, types));
}

/// Notes the condition of an `if` that does nothing but throw.
pub(super) fn guards<'t>(walk: &mut Walk<'t, Java>, node: Node<'t>) {
    let (Some(condition), Some(then)) =
        (walk.field(node, kinds::CONDITION), walk.field(node, kinds::CONSEQUENCE))
    else {
        return;
    };
    let only = match walk.kind(then) {
        Some(Java::Throw) => Some(then),
        Some(Java::Block) => match walk.children(then)[..] {
            [only] if walk.kind(only) == Some(Java::Throw) => Some(only),
            _ => None,
        },
        _ => None,
    };
    if let Some(throw) = only {
        walk.guard_at(throw, walk.span(condition));
    }
}

/// Notes a call; the standard guard helpers throw what their name says.
pub(super) fn invokes(walk: &mut Walk<'_, Java>, node: Node<'_>) {
    let name = walk.field(node, kinds::NAME).map_or("", |name| walk.text(name));
    if !(name.starts_with("requireNonNull") || name.starts_with("check")) {
        walk.calls();
        return;
    }
    let object = walk.field(node, kinds::OBJECT).map_or("", |object| walk.text(object));
    let guard = match (object.rsplit('.').next().unwrap_or_default(), name) {
        ("Objects", "requireNonNull") => Some("NullPointerException"),
        ("Objects", "checkIndex" | "checkFromToIndex" | "checkFromIndexSize") => {
            Some("IndexOutOfBoundsException")
        }
        _ => None,
    };
    let Some(ty) = guard else {
        walk.calls();
        return;
    };
    let span = walk.span(node);
    walk.raises(Raised { ty: Name::new(ty), span, origin: Origin::Guard, exempt: false, condition: None });
}
