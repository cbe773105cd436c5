//! What pieces of code are, for showing them in colours.

use tree_sitter::Tree;

use super::Node;
use crate::text::Span;

/// What a piece of code is.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Class {
    /// A comment.
    Comment,
    /// A word of the language.
    Keyword,
    /// A number.
    Number,
    /// A string, or a character.
    Text,
    /// The name of a type.
    Type,
}

impl Class {
    /// Returns the word for it.
    #[must_use]
    pub const fn as_str(self) -> &'static str {
        match self {
            Self::Comment => "comment",
            Self::Keyword => "keyword",
            Self::Number => "number",
            Self::Text => "text",
            Self::Type => "type",
        }
    }
}

/// Returns the pieces of a tree that are more than names and signs, in order. Grammars name their nodes alike: no list
/// a language is needed.
pub(super) fn classes(tree: &Tree) -> Vec<(Span, Class)> {
    let mut out = Vec::new();
    let mut cursor = Node::Parsed(tree.root_node()).walk();
    'nodes: loop {
        let node = cursor.node();
        let kind = node.kind();
        let class = if node.is_named() {
            named(kind)
        } else {
            let word = kind.len() > 1 && kind.bytes().all(|byte| byte.is_ascii_lowercase() || byte == b'_');
            word.then_some(Class::Keyword)
        };
        match class {
            Some(class) if !node.span().is_empty() => out.push((node.span(), class)),
            _ if cursor.goto_first_child() => continue,
            _ => {}
        }
        while !cursor.goto_next_sibling() {
            if !cursor.goto_parent() {
                break 'nodes;
            }
        }
    }
    out
}

fn named(kind: &str) -> Option<Class> {
    match kind {
        _ if kind.ends_with("comment") => Some(Class::Comment),
        "string" | "char" | "regex" | "heredoc_body" => Some(Class::Text),
        _ if kind.ends_with("string")
            || kind.ends_with("string_literal")
            || kind.ends_with("char_literal") =>
        {
            Some(Class::Text)
        }
        "integer" | "float" | "number" => Some(Class::Number),
        _ if kind.contains("integer_literal")
            || kind.contains("number_literal")
            || kind.ends_with("float_literal") =>
        {
            Some(Class::Number)
        }
        "type_identifier"
        | "primitive_type"
        | "predefined_type"
        | "integral_type"
        | "void_type"
        | "floating_point_type"
        | "boolean_type" => Some(Class::Type),
        "true" | "false" | "null" | "nil" | "none" | "this" | "self" | "super" | "boolean_literal"
        | "null_literal" => Some(Class::Keyword),
        _ => None,
    }
}
