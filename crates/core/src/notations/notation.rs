//! What a notation is to the rest of the program.

use super::Lines;
use crate::model::{Dialect, DocComment, EntryKind, NotationId};
use crate::text::Span;

/// A way of writing entries in comments.
pub struct Notation {
    /// Its id in configuration and output.
    pub id: NotationId,
    /// What an entry looks like, for people.
    pub looks_like: &'static str,
    /// Reads a comment. Never fails: what is not understood stays text.
    pub read: fn(&Lines<'_>, Span) -> DocComment,
    /// Counts what only this notation would write, to tell which one a comment is in.
    pub evidence: fn(&Lines<'_>) -> usize,
    /// How an entry is spelt in messages: its kind and name.
    pub spelling: fn(EntryKind, &str, Dialect) -> String,
    /// Tells whether the notation has a place for an entry of this kind.
    pub holds: fn(EntryKind) -> bool,
    /// Writes entries.
    pub writer: &'static dyn Writer,
}

/// Whether a draft writes types.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum TypeCustom {
    /// Always, as far as they are known.
    Always,
    /// Only where the signature has none.
    WhereSignatureHasNone,
    /// Never.
    Never,
}

/// How entries are written where the file shows a habit.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct WriteStyle {
    /// Text that stands where a person should write.
    pub placeholder: String,
    /// One step of indentation.
    pub step: String,
    /// What is between a name and its text, where the notation leaves a choice (` - `).
    pub separator: String,
    /// How entries are spelt in this language.
    pub dialect: Dialect,
    /// Commands are written with a backslash.
    pub backslash: bool,
    /// The summary is marked as such.
    pub brief: bool,
    /// The descriptions of entries stand in one column.
    pub align: bool,
}

/// An entry to be written.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct NewEntry {
    /// What it documents.
    pub kind: EntryKind,
    /// The name; for an exception its type. None for what comes back.
    pub name: Option<String>,
    /// The type, where it is to be written.
    pub ty: Option<String>,
    /// May be left out.
    pub optional: bool,
    /// The description: what the code tells, else the placeholder.
    pub text: String,
    /// The place among its kind in the signature, from 0.
    pub rank: usize,
}

/// Which place of the signature the entries that are there speak of: for each entry of the comment the
/// rank of its parameter or type parameter, by which a new one finds its place among them.
pub struct Order(pub Vec<Option<usize>>);

impl Order {
    /// Returns the rank of the entry at an index of the comment's entries.
    #[must_use]
    pub fn rank(&self, entry: usize) -> Option<usize> {
        self.0.get(entry).copied().flatten()
    }
}

/// Lines to be put into a comment.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Addition {
    /// They go before this line of the comment, as an index into its lines; the number of lines for the end.
    pub at: usize,
    /// The lines, with indentation relative to the comment's text.
    pub lines: Vec<String>,
}

/// Writes entries in a notation.
pub trait Writer: Sync {
    /// Writes the whole of a comment: summary and entries.
    fn whole(&self, summary: &str, entries: &[NewEntry], style: &WriteStyle) -> Vec<String>;

    /// Says where in a comment the entries go, and what is written there. Existing lines stay.
    fn additions(
        &self,
        comment: (&DocComment, &Lines<'_>),
        entries: &[NewEntry],
        order: &Order,
        style: &WriteStyle,
    ) -> Vec<Addition>;

    /// Tells when types are written.
    fn types(&self, dialect: Dialect) -> TypeCustom;

    /// Returns the mark that takes over the comment of what is overridden, where there is one.
    fn inherits(&self, _dialect: Dialect) -> Option<&'static str> {
        None
    }

    /// Writes a tag that documents no part of the signature, where the notation has tags.
    fn mark(&self, _tag: &str, _text: &str, _style: &WriteStyle) -> Option<String> {
        None
    }

    /// Marks text as code.
    fn code(&self, text: &str, _dialect: Dialect) -> String {
        format!("`{text}`")
    }

    /// Escapes text for the notation.
    fn escape(&self, text: &str) -> String {
        text.to_owned()
    }
}
