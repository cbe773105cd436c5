//! Looks at bodies as text before they are gone into: most hold nothing that matters to callers.

use aho_corasick::AhoCorasick;

use crate::reading::{Next, Node, Walk};

/// Passes over a body that holds none of the words of `facts`, noting whether it calls something.
pub(in crate::languages) fn skims<N: Copy>(
    walk: &mut Walk<'_, N>,
    body: Node<'_>,
    facts: &AhoCorasick,
) -> Next {
    let text = walk.text(body);
    if facts.is_match(text) {
        return Next::Into;
    }
    if memchr::memchr(b'(', text.as_bytes()).is_some() {
        walk.calls();
    }
    walk.over_calls()
}

/// As [`skims`], in languages whose calls need no parentheses: anything may be one.
pub(in crate::languages) fn skims_calling<N: Copy>(
    walk: &mut Walk<'_, N>,
    node: Node<'_>,
    facts: &AhoCorasick,
) -> Next {
    let next = walk.over_calls();
    if next == Next::Into || facts.is_match(walk.text(node)) {
        return Next::Into;
    }
    walk.calls();
    next
}
