//! What compilers make of asynchronous functions for older readers: `return __awaiter(this, arguments, void 0, function* (crate) {…})`.

use super::kinds::Script;
use crate::model::Answer;
use crate::reading::{Node, Walk};

/// Returns the function that an asynchronous body was moved to, where a call is one that runs it.
pub(super) fn awaited<'t>(walk: &Walk<'t, Script>, call: Node<'t>) -> Option<Node<'t>> {
    // Most are called otherwise.
    let behind = walk.text(call).strip_prefix("__awaiter")?;
    // What bundles files numbers the names that several have: `__awaiter$1(`.
    behind.trim_start_matches(|c: char| c == '$' || c.is_ascii_digit()).strip_prefix('(')?;
    walk.children(walk.field(call, "arguments")?)
        .into_iter()
        .next_back()
        .filter(|&body| walk.kind(body) == Some(Script::FunctionValue))
}

/// Tells, where a call runs an asynchronous body that was taken apart into steps, whether one of them gives back a value:
/// `return __generator(this, function (_a) { switch (_a.label) { … return [2 /*return*/, load]; } })`.
pub(super) fn value_of_steps<'t>(walk: &Walk<'t, Script>, call: Node<'t>) -> Option<Answer> {
    let text = walk.text(call);
    text.strip_prefix("__generator")?;
    // Elsewhere it is a generator that was written as one.
    if !stands_for_await(walk, call) {
        return None;
    }
    let gives = memchr::memmem::find(text.as_bytes(), b"[2 /*return*/, ").is_some();
    let ends = memchr::memmem::find(text.as_bytes(), b"[2 /*return*/]").is_some();
    Some(if gives {
        Answer::Yes
    } else if ends {
        Answer::No
    } else {
        Answer::Unknown
    })
}

/// Returns the function that a body was moved to with its parameters, whose defaults may throw.
pub(super) fn moved_to<'t>(walk: &Walk<'t, Script>, body: Node<'t>) -> Option<Node<'t>> {
    // Most bodies begin otherwise.
    walk.text(body).strip_prefix('{')?.trim_start().strip_prefix("return __awaiter")?;
    let first = walk.children(body).into_iter().next()?;
    let call = walk.children(first).into_iter().next()?;
    let taken = walk.text(walk.field(call, "arguments")?);
    awaited(walk, call).filter(|_| taken.starts_with("(this, arguments, "))
}

/// Tells whether something stands in such a function: a `yield` in it was an `await`.
pub(super) fn stands_for_await<'t>(walk: &Walk<'t, Script>, node: Node<'t>) -> bool {
    let mut around = std::iter::successors(node.parent(), |node| node.parent());
    let function = around.find(|&node| {
        matches!(walk.kind(node), Some(Script::FunctionValue | Script::Function | Script::Method))
    });
    let call = function.and_then(|function| function.parent()).and_then(|taken| taken.parent());
    call.is_some_and(|call| awaited(walk, call) == function)
}
