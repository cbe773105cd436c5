//! All that one file declares.

use smol_str::SmolStr;

use super::{Attached, CommentId, DeclId, Declaration, Name, RawComment};
use crate::text::{Span, narrow};

/// A block that adds to a type declared elsewhere.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Extension {
    /// Owners and name of the type, joined by dots.
    pub qualified: SmolStr,
    /// What the type inherits by it, by simple name.
    pub supertypes: Vec<Name>,
}

/// What a call is made on.
#[derive(Clone, Debug, PartialEq, Eq, Hash, serde::Serialize, serde::Deserialize)]
pub enum Receiver {
    /// Nothing: a plain name.
    None,
    /// The object or type that the code around belongs to.
    Own,
    /// A type, by name.
    Type(Name),
    /// Nothing: an object of the named type is made.
    Made,
    /// Something of which the type is not known.
    Other,
}

/// A call in a body.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Call {
    /// The callable around it.
    pub caller: DeclId,
    /// What it is made on.
    pub receiver: Receiver,
    /// The name of what is called.
    pub name: Name,
    /// The callee in the source.
    pub span: Span,
    /// The types that handlers around it catch.
    pub caught: Vec<Name>,
}

/// How names of a module hang together with those of others.
#[derive(Clone, Debug, PartialEq, Eq, Hash, serde::Serialize, serde::Deserialize)]
pub enum ModuleLink {
    /// What is given out under one name has another in its file.
    Alias {
        /// The name that importers use.
        given: SmolStr,
        /// The name in the file.
        local: SmolStr,
    },
    /// A name of the file stands for one of another module.
    Import {
        /// The name in the file.
        local: SmolStr,
        /// The other module, as the source names it.
        module: SmolStr,
        /// The name there; nothing for the module as a whole.
        name: Option<SmolStr>,
    },
    /// A name of another module is given out.
    Pass {
        /// The name that importers use.
        given: SmolStr,
        /// The other module, as the source names it.
        module: SmolStr,
        /// The name there; nothing for the module as a whole.
        name: Option<SmolStr>,
    },
    /// All that another module gives out is given out.
    PassAll {
        /// The other module, as the source names it.
        module: SmolStr,
    },
}

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
    /// Calls whose target may be known, where that was wished for.
    pub calls: Vec<Call>,
    /// Blocks that add to types declared elsewhere.
    pub extensions: Vec<Extension>,
    /// What the file takes from other modules and gives out under other names, where that was wished for.
    pub links: Vec<ModuleLink>,
    /// The first and last column, from 1, that hold code and comments, where they are fixed in this file.
    pub columns: Option<(u32, u32)>,
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

    /// Returns the overloads directly below a declaration that have no comment of their own: its comment speaks of
    /// them as well.
    pub fn silent_overloads(&self, id: DeclId) -> impl Iterator<Item = &Declaration> {
        let first = self.declaration(id);
        let siblings =
            self.declarations[id.0 as usize + 1..].iter().filter(|other| other.owner == first.owner);
        siblings.take_while(|other| {
            other.name == first.name && other.kind == first.kind && other.comment.doc.is_none()
        })
    }

    /// Returns what stands above a declaration.
    #[must_use]
    pub fn attached(&self, id: DeclId) -> Attached {
        self.declaration(id).comment
    }

    /// Returns the index of the declaration that a file is about: the only one that stands in no other, or
    /// the one that has the file's name.
    #[must_use]
    pub fn of_file(&self, file_name: &str) -> Option<usize> {
        let stem = file_name.rsplit_once('.').map_or(file_name, |(stem, _)| stem);
        let outer = || (0..self.declarations.len()).filter(|&at| self.declarations[at].owner.is_none());
        let named = outer().find(|&at| self.declarations[at].name.as_str().eq_ignore_ascii_case(stem));
        named.or_else(|| outer().next().filter(|_| outer().count() == 1))
    }

    /// Returns the number of bytes that were not understood.
    #[must_use]
    pub fn unparsed_bytes(&self) -> u64 {
        self.unparsed.iter().map(|span| u64::from(span.len())).sum()
    }
}
