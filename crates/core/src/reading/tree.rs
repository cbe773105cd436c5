//! What a tree is asked as a whole: where the grammar stumbled, and the tokens of the code.

use tree_sitter::Tree;

use super::{Action, Grammar, Node, Token};
use crate::text::Span;

/// Returns what the grammar stumbled at: error nodes, and the places of missing tokens.
pub(super) fn errors(tree: &Tree) -> Vec<Span> {
    let mut out = Vec::new();
    let mut cursor = Node::Parsed(tree.root_node()).walk();
    'nodes: loop {
        let node = cursor.node();
        if node.is_error() || node.is_missing() {
            out.push(node.span());
        } else if node.has_error() && cursor.goto_first_child() {
            continue;
        }
        while !cursor.goto_next_sibling() {
            if !cursor.goto_parent() {
                break 'nodes;
            }
        }
    }
    out
}

/// Returns the tokens outside comments and docstrings.
pub(super) fn tokens<G: Grammar>(grammar: &G, tree: &Tree) -> Vec<Token> {
    let mut out = Vec::new();
    let mut cursor = Node::Parsed(tree.root_node()).walk();
    'nodes: loop {
        let node = cursor.node();
        let comment = matches!(grammar.table().action(node), Action::Comment) || grammar.is_docstring(node);
        if !comment {
            if cursor.goto_first_child() {
                continue;
            }
            let at = node.span();
            if !at.is_empty() {
                out.push(Token { kind: node.kind_id(), span: at });
            }
        }
        while !cursor.goto_next_sibling() {
            if !cursor.goto_parent() {
                break 'nodes;
            }
        }
    }
    out
}
