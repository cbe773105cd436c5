//! All that one file declares.

use super::{Attached, CommentId, DeclId, Declaration, RawComment};
use crate::text::{Span, narrow};

/// Declarations and comments of one file, in source order.
#[derive(Clone, Debug, Default)]
pub struct Outline {
    /// Declarations in source order; owners before what they own.
    pub declarations: Vec<Declaration>,
    /// Comments in source order.
    pub comments: Vec<RawComment>,
    /// What the grammar could not read.
    pub unparsed: Vec<Span>,
    /// Lines that part a comment from its declaration without belonging to either: imports and the like.
    pub separators: Vec<Span>,
}

impl Outline {
    /// Returns a declaration.
    ///
    /// # Panics
    /// When `id` is of another outline.
    #[must_use]
    pub fn declaration(&self, id: DeclId) -> &Declaration {
        &self.declarations[id.0 as usize]
    }

    /// Returns a raw comment.
    ///
    /// # Panics
    /// When `id` is of another outline.
    #[must_use]
    pub fn comment(&self, id: CommentId) -> &RawComment {
        &self.comments[id.0 as usize]
    }

    /// Returns the ids of all declarations in order.
    pub fn ids(&self) -> impl Iterator<Item = DeclId> + use<> {
        (0..narrow(self.declarations.len())).map(DeclId)
    }

    /// Returns what stands above a declaration.
    #[must_use]
    pub fn attached(&self, id: DeclId) -> Attached {
        self.declaration(id).comment
    }

    /// Returns the number of bytes that were not understood.
    #[must_use]
    pub fn unparsed_bytes(&self) -> u64 {
        self.unparsed.iter().map(|span| u64::from(span.len())).sum()
    }
}
