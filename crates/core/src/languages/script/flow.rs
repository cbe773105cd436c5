//! What leaves a body of JavaScript or TypeScript.

use super::compiled::{awaited, stands_for_await, value_of_steps};
use super::declare::{is_nothing, value_of};
use super::kinds::Script;
use crate::languages::shared::{raises_made, says_left_to_others};
use crate::model::{Answer, Name};
use crate::reading::{Node, Scope, Walk};

/// The type that stands for everything that can be thrown.
const ANYTHING: &str = "Error";

/// Looks at a statement or an expression as text: one without braces, without `telling`, without a `yield` and without
/// comments holds nothing but perhaps a call, and need not be gone into.
pub(super) fn skims(walk: &mut Walk<'_, Script>, node: Node<'_>, telling: &str) -> bool {
    // One pass: there are as many such statements as lines of code, and most are short.
    let (bytes, telling) = (walk.text(node).as_bytes(), telling.as_bytes());
    let mut calls = false;
    for (at, &byte) in bytes.iter().enumerate() {
        let holds = |what: &[u8]| bytes[at..].starts_with(what);
        match byte {
            b'{' => return false,
            b'/' if holds(b"/*") || holds(b"//") => return false,
            b'y' if holds(b"yield") => return false,
            byte if byte == telling[0] && holds(telling) => return false,
            b'(' => calls = true,
            b'a' if holds(b"await") => calls = true,
            _ => {}
        }
    }
    if calls {
        walk.calls();
    }
    true
}

/// Notes a `return`; whether a call in it gives a value does not matter: the author says it does,
/// unless it is a callback.
pub(super) fn returns<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    let value = walk.children(node).into_iter().next();
    if let Some(body) = value.and_then(|call| awaited(walk, call)) {
        // What was moved gives back what it gave, and throws what it threw.
        walk.declared_at(body, node);
        return;
    }
    if let Some(value) = value.and_then(|call| value_of_steps(walk, call)) {
        walk.returns(value);
        return;
    }
    let value = match value {
        Some(value) if !is_nothing(walk, value) => match value_of(walk, value) {
            Answer::No => Answer::No,
            Answer::Unknown if is_for_effect(walk, value) => Answer::Unknown,
            Answer::Yes | Answer::Unknown => Answer::Yes,
        },
        _ => Answer::No,
    };
    walk.returns(value);
}

/// Tells whether a call stands behind `return` for what it does, not for what it gives: it hands the outcome to a callback,
/// `return cb(error)`, takes something down, `return destroyTank(this)`, or goes through a list, `return crates.forEach(weigh)`.
fn is_for_effect<'t>(walk: &Walk<'t, Script>, value: Node<'t>) -> bool {
    walk.field(value, "function").is_some_and(|function| {
        let name = walk.text(function);
        if walk.kind(function) != Some(Script::Identifier) {
            return name.ends_with(".forEach");
        }
        matches!(name, "cb" | "done")
            || name.ends_with("callback")
            || name.ends_with("Callback")
            || name.starts_with("destroy")
    })
}

/// Notes a `yield`, which in what compilers make may stand for an `await`.
pub(super) fn yields<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    if !stands_for_await(walk, node) {
        walk.yields();
    }
}

/// Notes a `throw`.
pub(super) fn throws<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    let condition = walk.take_condition(node);
    let Some(&thrown) = walk.children(node).first() else { return };
    let made = match walk.kind(thrown) {
        Some(Script::New) => walk.field(thrown, "constructor"),
        // Errors can be made without `new`.
        Some(Script::Call) => {
            walk.field(thrown, "function").filter(|&made| walk.text(made).ends_with("Error"))
        }
        Some(Script::Identifier) => {
            let (name, span) = (walk.text(thrown), walk.span(thrown));
            if !walk.rethrows(Some(name), span, &[ANYTHING]) {
                walk.raises_unknown();
            }
            return;
        }
        _ => None,
    };
    let Some(made) = made else {
        walk.raises_unknown();
        return;
    };
    let ty = Name::simple(walk.text(made));
    if !ty.as_str().starts_with(char::is_uppercase) {
        walk.raises_unknown();
        return;
    }
    let exempt = is_stub(walk, node, thrown, condition.is_some()) || ty.as_str().contains("Assertion");
    raises_made(walk, made, (exempt, condition));
}

/// A body that consists of saying that it is not there yet, or of throwing without a word.
fn is_stub<'t>(walk: &Walk<'t, Script>, throw: Node<'t>, thrown: Node<'t>, conditional: bool) -> bool {
    let alone = throw.prev_named_sibling().is_none() && throw.next_named_sibling().is_none();
    let text = walk.text(thrown).to_ascii_lowercase();
    let says = text.contains("abstract") || says_left_to_others(&text);
    alone && (says || !conditional && text.ends_with("()"))
}

/// A handler catches everything.
pub(super) fn tries<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    if let (Some(body), Some(_)) = (walk.field(node, "body"), walk.field(node, "handler")) {
        walk.open_at(body, Scope::Try(vec![Name::new(ANYTHING)]));
    }
}

/// Opens a handler, which does not say what it holds.
pub(super) fn handles<'t>(walk: &mut Walk<'t, Script>, node: Node<'t>) {
    let name = walk.field(node, "parameter").map(|name| Name::new(walk.text(name)));
    walk.open(Scope::Handler(name, Vec::new()));
}
