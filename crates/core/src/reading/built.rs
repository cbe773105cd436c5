//! A syntax tree that a quicker parser than the grammar read, in the grammar's words: the kinds of its nodes and the
//! names of its fields are the grammar's, so that one walk serves both.

use crate::text::{Span, narrow};

/// A tree, its nodes in the order in which they begin.
#[derive(Debug)]
pub struct BuiltTree {
    language: tree_sitter::Language,
    nodes: Vec<Built>,
}

#[derive(Clone, Copy, Debug)]
struct Built {
    kind: u16,
    /// The field of its parent that it stands in; 0 for none.
    field: u16,
    start: u32,
    end: u32,
    parent: u32,
    /// The node behind the last one inside it.
    next: u32,
}

/// A node of a tree.
#[derive(Clone, Copy, Debug)]
pub struct BuiltNode<'t> {
    tree: &'t BuiltTree,
    at: u32,
}

impl PartialEq for BuiltNode<'_> {
    fn eq(&self, other: &Self) -> bool {
        self.at == other.at && std::ptr::eq(self.tree, other.tree)
    }
}

impl BuiltTree {
    pub(super) fn root(&self) -> BuiltNode<'_> {
        BuiltNode { tree: self, at: 0 }
    }
}

impl<'t> BuiltNode<'t> {
    fn node(self) -> &'t Built {
        &self.tree.nodes[self.at as usize]
    }

    fn with(self, at: u32) -> Self {
        Self { tree: self.tree, at }
    }

    /// Returns the place of the node among all of the tree.
    pub(super) fn id(self) -> usize {
        self.at as usize
    }

    pub(super) fn kind_id(self) -> u16 {
        self.node().kind
    }

    pub(super) fn kind(self) -> &'t str {
        self.tree.language.node_kind_for_id(self.node().kind).unwrap_or_default()
    }

    pub(super) fn is_named(self) -> bool {
        self.tree.language.node_kind_is_named(self.node().kind)
    }

    pub(super) fn field(self) -> Option<u16> {
        Some(self.node().field).filter(|&field| field != 0)
    }

    pub(super) fn field_name(self) -> Option<&'t str> {
        self.field().and_then(|field| self.tree.language.field_name_for_id(field))
    }

    pub(super) fn span(self) -> Span {
        let node = self.node();
        Span::new(node.start, node.end)
    }

    pub(super) fn parent(self) -> Option<Self> {
        (self.at != 0).then(|| self.with(self.node().parent))
    }

    pub(super) fn first_child(self) -> Option<Self> {
        let first = self.at + 1;
        (first < self.node().next).then(|| self.with(first))
    }

    pub(super) fn next_sibling(self) -> Option<Self> {
        let parent = self.parent()?;
        let next = self.node().next;
        (next < parent.node().next).then(|| self.with(next))
    }
}

/// Builds a tree: nodes are opened and closed in the order of the text.
pub struct Builder {
    tree: BuiltTree,
    open: Vec<u32>,
    /// The comments of the text, last first, and the kind that they have.
    comments: Vec<Span>,
    comment: u16,
    /// The field of the next node that is opened.
    field: u16,
}

impl Builder {
    /// Begins a tree of a text of `length` bytes, whose root is of a kind. The comments, sorted, are put in where they
    /// stand.
    #[must_use]
    pub fn new(
        language: tree_sitter::Language,
        (root, length): (u16, usize),
        (comment, mut comments): (u16, Vec<Span>),
    ) -> Self {
        comments.reverse();
        let tree = BuiltTree { language, nodes: Vec::with_capacity(length / 8) };
        let mut builder = Self { tree, open: Vec::new(), comments, comment, field: 0 };
        builder.open(root, 0);
        builder
    }

    /// Names the field that the next node stands in.
    pub fn in_field(&mut self, field: u16) {
        self.field = field;
    }

    /// Opens a node: what is opened until it is closed lies inside.
    pub fn open(&mut self, kind: u16, start: u32) {
        let field = std::mem::take(&mut self.field);
        if !self.open.is_empty() {
            self.take_comments(start);
        }
        let at = self.push(Built { kind, field, start, end: start, parent: 0, next: 0 });
        self.open.push(at);
    }

    /// Adds a node with nothing inside.
    pub fn leaf(&mut self, kind: u16, span: Span) {
        self.open(kind, span.start);
        self.close(span.end);
    }

    /// Closes the node that was opened last.
    pub fn close(&mut self, end: u32) {
        self.take_comments(end);
        self.field = 0;
        let next = narrow(self.tree.nodes.len());
        if let Some(at) = self.open.pop() {
            let node = &mut self.tree.nodes[at as usize];
            (node.end, node.next) = (end, next);
        }
    }

    /// Ends the tree at the end of the text.
    #[must_use]
    pub fn done(mut self, length: usize) -> BuiltTree {
        while !self.open.is_empty() {
            self.close(narrow(length));
        }
        self.tree
    }

    fn push(&mut self, node: Built) -> u32 {
        let at = narrow(self.tree.nodes.len());
        let parent = self.open.last().copied().unwrap_or_default();
        self.tree.nodes.push(Built { parent, next: at + 1, ..node });
        at
    }

    /// Puts the comments that begin before an offset into the node that is open.
    fn take_comments(&mut self, before: u32) {
        while let Some(comment) = self.comments.pop_if(|comment| comment.start < before) {
            let kind = self.comment;
            self.push(Built { kind, field: 0, start: comment.start, end: comment.end, parent: 0, next: 0 });
        }
    }
}
