//! What leaves a C# body.

use super::kinds::{self, CSharp};
use crate::languages::shared::refuses_null;
use crate::model::{Answer, Name, Origin};
use crate::reading::{Next, Node, Raised, Scope, Walk};

/// Types that a handler may name without telling what was thrown.
const VAGUE: &[&str] = &["Exception", "SystemException"];

/// Types that mark what is not meant to happen, or is not there yet.
const EXEMPT: &[&str] = &["NotImplementedException", "UnreachableException"];

/// Looks at a statement as text: one without function values, throw expressions, doc comments and guard
/// helpers holds nothing but perhaps a call, and need not be gone into.
pub(super) fn skims(walk: &mut Walk<'_, CSharp>, node: Node<'_>) -> Next {
    let text = walk.text(node);
    let holds = |what: &str| memchr::memmem::find(text.as_bytes(), what.as_bytes()).is_some();
    if holds("{") || holds("=>") || holds("hrow") || holds("//") || holds("/*") {
        return Next::Into;
    }
    if holds("(") || holds("await") {
        walk.calls();
    }
    walk.over_calls()
}

/// Notes a `return`.
pub(super) fn returns(walk: &mut Walk<'_, CSharp>, node: Node<'_>) {
    let value = if node.named_child_count() > 0 { Answer::Yes } else { Answer::No };
    walk.returns(value);
}

/// Notes a `throw` statement or expression.
pub(super) fn throws(walk: &mut Walk<'_, CSharp>, node: Node<'_>) {
    let condition = walk.take_condition(node);
    let Some(thrown) = walk.children(node).into_iter().next() else {
        let span = walk.span(node);
        if !walk.rethrows(None, span, VAGUE) {
            walk.raises_unknown();
        }
        return;
    };
    match walk.kind(thrown) {
        Some(CSharp::Creation) => {
            let Some(ty) = walk.field(thrown, kinds::TYPE) else { return };
            let name = Name::simple(walk.text(ty));
            let refuses = refuses_null(walk, condition)
                || (walk.kind(node) == Some(CSharp::ThrowExpression) && name == "ArgumentNullException");
            walk.raises(Raised {
                span: walk.span(ty),
                origin: if refuses { Origin::Guard } else { Origin::Body },
                exempt: EXEMPT.contains(&name.as_str()) || is_stub(node, name.as_str(), condition.is_some()),
                ty: name,
                condition,
            });
        }
        Some(CSharp::Identifier) => {
            let (name, span) = (walk.text(thrown), walk.span(thrown));
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
    ty == "NotSupportedException" && alone && !conditional
}

/// Opens what a `try` guards. A handler with a filter does not count as catching.
pub(super) fn tries<'t>(walk: &mut Walk<'t, CSharp>, node: Node<'t>) {
    let mut caught = Vec::new();
    for clause in walk.children(node) {
        if walk.kind(clause) == Some(CSharp::Catch) && !has(walk, clause, CSharp::CatchFilter) {
            caught.push(caught_type(walk, clause).unwrap_or_else(|| Name::new("Exception")));
        }
    }
    if let Some(body) = walk.field(node, kinds::BODY) {
        walk.open_at(body, Scope::Try(caught));
    }
}

fn has(walk: &Walk<'_, CSharp>, node: Node<'_>, kind: CSharp) -> bool {
    walk.children(node).iter().any(|&child| walk.kind(child) == Some(kind))
}

fn catch_declaration<'t>(walk: &Walk<'t, CSharp>, clause: Node<'t>) -> Option<Node<'t>> {
    walk.children(clause).into_iter().find(|&c| walk.kind(c) == Some(CSharp::CatchDeclaration))
}

fn caught_type<'t>(walk: &Walk<'t, CSharp>, clause: Node<'t>) -> Option<Name> {
    let ty = walk.field(catch_declaration(walk, clause)?, kinds::TYPE)?;
    Some(Name::simple(walk.text(ty)))
}

/// Opens a handler.
pub(super) fn handles<'t>(walk: &mut Walk<'t, CSharp>, node: Node<'t>) {
    let types = caught_type(walk, node).into_iter().collect();
    let name = catch_declaration(walk, node)
        .and_then(|declaration| walk.field(declaration, kinds::NAME))
        .map(|name| Name::new(walk.text(name)));
    walk.open(Scope::Handler(name, types));
}

/// Notes the condition of an `if` that does nothing but throw.
pub(super) fn guards<'t>(walk: &mut Walk<'t, CSharp>, node: Node<'t>) {
    let (Some(condition), Some(then)) =
        (walk.field(node, kinds::CONDITION), walk.field(node, kinds::CONSEQUENCE))
    else {
        return;
    };
    let only = match walk.kind(then) {
        Some(CSharp::Throw) => Some(then),
        Some(CSharp::Block) => match walk.children(then)[..] {
            [only] if walk.kind(only) == Some(CSharp::Throw) => Some(only),
            _ => None,
        },
        _ => None,
    };
    if let Some(throw) = only {
        walk.guard_at(throw, walk.span(condition));
    }
}

/// Notes a call; `SomeException.ThrowIf…` throws what its name says.
pub(super) fn invokes(walk: &mut Walk<'_, CSharp>, node: Node<'_>) {
    let Some(function) = walk.field(node, kinds::FUNCTION) else { return };
    if walk.text(function) == "nameof" {
        return;
    }
    if walk.kind(function) == Some(CSharp::MemberAccess) {
        let name = walk.field(function, kinds::NAME).map_or("", |name| walk.text(name));
        let object = walk.field(function, kinds::EXPRESSION).map_or("", |object| walk.text(object));
        let ty = object.rsplit('.').next().unwrap_or_default();
        if name.starts_with("ThrowIf") && ty.ends_with("Exception") {
            let span = walk.span(node);
            walk.raises(Raised {
                ty: Name::new(ty),
                span,
                origin: Origin::Guard,
                exempt: false,
                condition: None,
            });
            return;
        }
    }
    walk.calls();
}
