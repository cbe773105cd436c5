//! Docstrings: the string that is the first statement of a body.

use super::kinds::Python;
use crate::model::CommentId;
use crate::reading::{Node, Table, Walk};
use crate::text::{Span, is_filled_by_code};

/// Returns the string of a statement that consists of a string alone, joined ones included.
pub(super) fn lone_string<'t>(walk: &Walk<'_, Python>, statement: Node<'t>) -> Option<Node<'t>> {
    if walk.kind(statement) != Some(Python::ExpressionStatement) || statement.named_child_count() != 1 {
        return None;
    }
    let string = statement.named_child(0)?;
    match walk.kind(string)? {
        Python::String if is_text(walk.text(string)) => Some(string),
        Python::ConcatenatedString if is_text(walk.text(string)) => Some(string),
        _ => None,
    }
}

/// Bytes and formatted strings are no documentation.
fn is_text(text: &str) -> bool {
    let prefix = text.split(['"', '\'']).next().unwrap_or_default();
    !prefix.contains(['b', 'B', 'f', 'F', 't', 'T'])
}

/// Takes the docstring of a body, if there is one.
pub(super) fn take(walk: &mut Walk<'_, Python>, body: Node<'_>) -> Option<CommentId> {
    let first = first_statement(walk, body)?;
    let string = lone_string(walk, first)?;
    Some(take_string(walk, string))
}

fn first_statement<'t>(walk: &Walk<'_, Python>, body: Node<'t>) -> Option<Node<'t>> {
    let mut cursor = body.walk();
    body.named_children(&mut cursor).find(|&child| !walk.is_comment(child))
}

/// Takes a string as a comment.
pub(super) fn take_string(walk: &mut Walk<'_, Python>, string: Node<'_>) -> CommentId {
    let mut lines = Vec::new();
    if walk.kind(string) == Some(Python::ConcatenatedString) {
        let mut cursor = string.walk();
        let parts: Vec<_> = string.named_children(&mut cursor).collect();
        for part in parts {
            if walk.kind(part) == Some(Python::String) {
                let more = content_lines(walk, part);
                lines.extend(more);
            }
        }
    } else {
        lines = content_lines(walk, string);
    }
    walk.add_docstring(walk.span(string), lines)
}

fn content_lines(walk: &Walk<'_, Python>, string: Node<'_>) -> Vec<Span> {
    let span = walk.span(string);
    let text = walk.text(string);
    let prefix = text.len() - text.trim_start_matches(|c: char| c.is_ascii_alphabetic()).len();
    let quotes =
        if text[prefix..].starts_with("\"\"\"") || text[prefix..].starts_with("'''") { 3 } else { 1 };
    let open = (prefix + quotes).min(text.len());
    let close = text.len().saturating_sub(quotes).max(open);
    let base = span.start as usize + open;
    let mut at = 0;
    let mut lines = Vec::new();
    for line in text[open..close].split('\n') {
        let bare = line.trim_end_matches('\r');
        lines.push(Span::of(base + at, base + at + bare.len()));
        at += line.len() + 1;
    }
    lines
}

/// Tells whether a docstring has lines that code fills in.
pub(super) fn is_filled_in(walk: &Walk<'_, Python>, comment: CommentId) -> bool {
    walk.outline.comment(comment).lines.iter().any(|&line| is_filled_by_code(walk.source.slice(line)))
}

/// Tells whether a node of the tree is a statement that is a docstring.
pub(super) fn is_docstring(table: &Table<Python>, node: Node<'_>) -> bool {
    if table.ask(node) != Some(Python::ExpressionStatement) || node.named_child_count() != 1 {
        return false;
    }
    let string = node.named_child(0).and_then(|child| table.ask(child));
    if !matches!(string, Some(Python::String | Python::ConcatenatedString)) {
        return false;
    }
    let mut before = node.prev_named_sibling();
    while let Some(found) = before {
        if !matches!(table.action(found), crate::reading::Action::Comment) {
            return false;
        }
        before = found.prev_named_sibling();
    }
    matches!(node.parent().and_then(|parent| table.ask(parent)), Some(Python::Block | Python::Module))
}
