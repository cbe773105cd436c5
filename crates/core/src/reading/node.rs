//! A node of a syntax tree, whether a grammar parsed the tree or a quicker parser did and it was built in the grammar's words.

use super::built::{BuiltNode, BuiltTree};
use crate::text::Span;

/// A syntax tree.
pub(super) enum Tree {
    /// A grammar parsed it.
    Parsed(tree_sitter::Tree),
    /// It was built: nothing in it stumbled.
    Built(BuiltTree),
}

impl Tree {
    pub(super) fn root(&self) -> Node<'_> {
        match self {
            Self::Parsed(tree) => Node::Parsed(tree.root_node()),
            Self::Built(tree) => Node::Built(tree.root()),
        }
    }
}

/// A node of a tree.
#[derive(Clone, Copy, Debug, PartialEq)]
pub enum Node<'t> {
    /// A grammar's.
    Parsed(tree_sitter::Node<'t>),
    /// One that was built.
    Built(BuiltNode<'t>),
}

impl<'t> Node<'t> {
    /// Returns what tells the node from all others of its tree.
    #[must_use]
    pub fn id(self) -> usize {
        match self {
            Self::Parsed(node) => node.id(),
            Self::Built(node) => node.id(),
        }
    }

    /// Returns the number of the node's kind.
    #[must_use]
    pub fn kind_id(self) -> u16 {
        match self {
            Self::Parsed(node) => node.kind_id(),
            Self::Built(node) => node.kind_id(),
        }
    }

    /// Returns the grammar's name for the node's kind.
    #[must_use]
    pub fn kind(self) -> &'t str {
        match self {
            Self::Parsed(node) => node.kind(),
            Self::Built(node) => node.kind(),
        }
    }

    /// Tells whether the node is more than a sign or a word of the language.
    #[must_use]
    pub fn is_named(self) -> bool {
        match self {
            Self::Parsed(node) => node.is_named(),
            Self::Built(node) => node.is_named(),
        }
    }

    /// Tells whether the grammar did not understand the node.
    #[must_use]
    pub fn is_error(self) -> bool {
        matches!(self, Self::Parsed(node) if node.is_error())
    }

    /// Tells whether the grammar put the node in, where the text has nothing.
    #[must_use]
    pub fn is_missing(self) -> bool {
        matches!(self, Self::Parsed(node) if node.is_missing())
    }

    /// Tells whether the grammar stumbled in the node.
    #[must_use]
    pub fn has_error(self) -> bool {
        matches!(self, Self::Parsed(node) if node.has_error())
    }

    /// Returns where the node stands.
    #[must_use]
    pub fn span(self) -> Span {
        match self {
            Self::Parsed(node) => Span::of(node.start_byte(), node.end_byte()),
            Self::Built(node) => node.span(),
        }
    }

    /// Returns where the node begins, in bytes.
    #[must_use]
    pub fn start_byte(self) -> usize {
        self.span().start as usize
    }

    /// Returns where the node ends, in bytes.
    #[must_use]
    pub fn end_byte(self) -> usize {
        self.span().end as usize
    }

    /// Returns the node around it.
    #[must_use]
    pub fn parent(self) -> Option<Self> {
        match self {
            Self::Parsed(node) => node.parent().map(Self::Parsed),
            Self::Built(node) => node.parent().map(Self::Built),
        }
    }

    /// Returns the first child in a field.
    #[must_use]
    pub fn child_by_field_id(self, field: u16) -> Option<Self> {
        match self {
            Self::Parsed(node) => node.child_by_field_id(field).map(Self::Parsed),
            Self::Built(node) => {
                let mut children = std::iter::successors(node.first_child(), |child| child.next_sibling());
                children.find(|child| child.field() == Some(field)).map(Self::Built)
            }
        }
    }

    /// Returns the child that another node lies in, or is.
    #[must_use]
    pub fn child_with_descendant(self, inner: Self) -> Option<Self> {
        match (self, inner) {
            (Self::Parsed(node), Self::Parsed(inner)) => node.child_with_descendant(inner).map(Self::Parsed),
            (Self::Built(node), Self::Built(inner)) => {
                let mut upwards = std::iter::successors(Some(inner), |inner| inner.parent());
                upwards.find(|inner| inner.parent() == Some(node)).map(Self::Built)
            }
            (Self::Parsed(_), Self::Built(_)) | (Self::Built(_), Self::Parsed(_)) => None,
        }
    }

    /// Returns the child that has a number among those that are named.
    #[must_use]
    pub fn named_child(self, number: u32) -> Option<Self> {
        match self {
            Self::Parsed(node) => node.named_child(number).map(Self::Parsed),
            Self::Built(_) => self.named_children(&mut self.walk()).nth(number as usize),
        }
    }

    /// Returns how many children are named.
    #[must_use]
    pub fn named_child_count(self) -> usize {
        match self {
            Self::Parsed(node) => node.named_child_count(),
            Self::Built(_) => self.named_children(&mut self.walk()).count(),
        }
    }

    /// Returns the named node in front of it, beside it.
    #[must_use]
    pub fn prev_named_sibling(self) -> Option<Self> {
        match self {
            Self::Parsed(node) => node.prev_named_sibling().map(Self::Parsed),
            Self::Built(_) => {
                let parent = self.parent()?;
                parent.named_children(&mut parent.walk()).take_while(|&sibling| sibling != self).last()
            }
        }
    }

    /// Returns the named node behind it, beside it.
    #[must_use]
    pub fn next_named_sibling(self) -> Option<Self> {
        match self {
            Self::Parsed(node) => node.next_named_sibling().map(Self::Parsed),
            Self::Built(node) => std::iter::successors(node.next_sibling(), |next| next.next_sibling())
                .find(|next| next.is_named())
                .map(Self::Built),
        }
    }

    /// Returns a cursor that stands at the node and does not leave it.
    #[must_use]
    pub fn walk(self) -> Cursor<'t> {
        match self {
            Self::Parsed(node) => Cursor::Parsed(node.walk()),
            Self::Built(node) => Cursor::Built { top: node, node },
        }
    }

    /// Goes through the children.
    pub fn children<'c>(self, cursor: &'c mut Cursor<'t>) -> impl Iterator<Item = Self> + use<'c, 't> {
        cursor.reset(self);
        let mut more = cursor.goto_first_child();
        std::iter::from_fn(move || {
            more.then(|| {
                let child = cursor.node();
                more = cursor.goto_next_sibling();
                child
            })
        })
    }

    /// Goes through the children that are named.
    pub fn named_children<'c>(self, cursor: &'c mut Cursor<'t>) -> impl Iterator<Item = Self> + use<'c, 't> {
        self.children(cursor).filter(|child| child.is_named())
    }

    /// Goes through the children in a field.
    pub fn children_by_field_name<'c>(
        self,
        field: &'static str,
        cursor: &'c mut Cursor<'t>,
    ) -> impl Iterator<Item = Self> + use<'c, 't> {
        cursor.reset(self);
        let mut more = cursor.goto_first_child();
        std::iter::from_fn(move || {
            while more {
                let found = (cursor.field_name() == Some(field)).then(|| cursor.node());
                more = cursor.goto_next_sibling();
                if found.is_some() {
                    return found;
                }
            }
            None
        })
    }
}

/// Goes from node to node.
pub enum Cursor<'t> {
    /// A grammar's.
    Parsed(tree_sitter::TreeCursor<'t>),
    /// One of a tree that was built.
    Built {
        /// The node that it does not leave.
        top: BuiltNode<'t>,
        /// The node that it stands at.
        node: BuiltNode<'t>,
    },
}

impl<'t> Cursor<'t> {
    /// Returns the node that it stands at.
    #[must_use]
    pub fn node(&self) -> Node<'t> {
        match self {
            Self::Parsed(cursor) => Node::Parsed(cursor.node()),
            Self::Built { node, .. } => Node::Built(*node),
        }
    }

    /// Returns the name of the field that the node stands in.
    #[must_use]
    pub fn field_name(&self) -> Option<&'t str> {
        match self {
            Self::Parsed(cursor) => cursor.field_name(),
            Self::Built { node, .. } => node.field_name(),
        }
    }

    /// Goes to the first child; false where there is none.
    pub fn goto_first_child(&mut self) -> bool {
        match self {
            Self::Parsed(cursor) => cursor.goto_first_child(),
            Self::Built { node, .. } => node.first_child().map(|child| *node = child).is_some(),
        }
    }

    /// Goes to the node behind it; false where there is none.
    pub fn goto_next_sibling(&mut self) -> bool {
        match self {
            Self::Parsed(cursor) => cursor.goto_next_sibling(),
            Self::Built { top, node } => {
                node != top && node.next_sibling().map(|sibling| *node = sibling).is_some()
            }
        }
    }

    /// Goes to the node around it; false at the one that it does not leave.
    pub fn goto_parent(&mut self) -> bool {
        match self {
            Self::Parsed(cursor) => cursor.goto_parent(),
            Self::Built { top, node } => node != top && node.parent().map(|parent| *node = parent).is_some(),
        }
    }

    fn reset(&mut self, at: Node<'t>) {
        match (&mut *self, at) {
            (Self::Parsed(cursor), Node::Parsed(node)) => cursor.reset(node),
            _ => *self = at.walk(),
        }
    }
}
