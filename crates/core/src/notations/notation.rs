//! What a notation is to the rest of the program.

use super::Lines;
use crate::model::{Dialect, DocComment, Entry, EntryKind, NotationId, Votes};
use crate::text::{Source, Span};

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

/// What of the entries of one kind stands in columns.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, PartialOrd, Ord)]
pub enum Align {
    /// Nothing.
    #[default]
    No,
    /// The descriptions.
    Texts,
    /// The names, behind types of different lengths, and the descriptions.
    NamesAndTexts,
}

/// How entries are written where the file shows a habit.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct WriteStyle {
    /// Text that stands where a person should write.
    pub placeholder: String,
    /// One step of indentation.
    pub step: String,
    /// A hyphen stands between a name and its text, where the notation leaves a choice.
    pub hyphen: bool,
    /// An empty line parts the description from the entries, where the notation leaves a choice.
    pub parted: bool,
    /// Several parameters stand in a list of their own, where the notation leaves a choice.
    pub listed: bool,
    /// Which types are written.
    pub types: TypeCustom,
    /// Types stand on lines of their own, where the notation leaves a choice.
    pub type_lines: bool,
    /// How entries are spelt in this language.
    pub dialect: Dialect,
    /// Commands are written with a backslash.
    pub backslash: bool,
    /// The summary is marked as such.
    pub brief: bool,
    /// What of the entries stands in columns.
    pub align: Align,
    /// The word before the colon of the paragraph that says what comes back, where the notation leaves a choice.
    pub returning: &'static str,
    /// Tags stand directly behind the mark of a line, where that makes a difference.
    pub tight: bool,
    /// The words that open entries.
    pub words: TagWords,
}

impl WriteStyle {
    /// Returns what stands between an entry's head and its text.
    pub(super) fn gap(&self, entry: &NewEntry) -> &'static str {
        let named = matches!(entry.kind, EntryKind::Param | EntryKind::TypeParam | EntryKind::Property);
        if self.hyphen && named { " - " } else { " " }
    }
}

/// Words of tags that say the same, by what they open.
const SYNONYMS: [(EntryKind, &[&str]); 3] = [
    (EntryKind::Param, &["param", "parameter", "arg", "argument"]),
    (EntryKind::Returns, &["return", "returns", "result"]),
    (EntryKind::Throws, &["throws", "throw", "raises", "raise", "exception", "except"]),
];

/// Which of several words that say the same a file writes: `:return:` or `:returns:`. What it has no word for is written
/// with the notation's own.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq)]
pub struct TagWords([Option<&'static str>; SYNONYMS.len()]);

/// The words that open entries, each with how often it was met.
#[derive(Clone, Debug, Default)]
pub(crate) struct WordVotes([Votes<&'static str>; SYNONYMS.len()]);

impl WordVotes {
    /// Counts the word that opens an entry.
    pub(crate) fn add(&mut self, entry: &Entry, source: &Source) {
        let kind = SYNONYMS.iter().position(|(kind, _)| *kind == entry.kind);
        let Some(kind) = kind.filter(|_| entry.value.is_none()) else { return };
        let word = tag_word(source.slice(entry.tag)).1;
        if let Some(known) = SYNONYMS[kind].1.iter().find(|known| **known == word) {
            self.0[kind].add(known);
        }
    }

    /// Counts the words that others count.
    pub(crate) fn add_all(&mut self, others: &Self) {
        for (votes, others) in self.0.iter_mut().zip(&others.0) {
            votes.add_all(others);
        }
    }

    /// Returns the words that were met most; of equals none.
    pub(crate) fn most(&self) -> TagWords {
        TagWords(self.0.each_ref().map(|votes| votes.most("").filter(|word| votes.is_most(*word))))
    }
}

impl TagWords {
    /// Takes from others the words that are missing here.
    #[must_use]
    pub fn or(self, others: Self) -> Self {
        let mut words = self.0;
        for (word, other) in words.iter_mut().zip(others.0) {
            *word = word.or(other);
        }
        Self(words)
    }

    /// Writes the line that opens an entry with the file's word; what opens with no tag stays.
    pub(super) fn put(&self, kind: EntryKind, line: &mut String) {
        let at = SYNONYMS.iter().position(|(known, _)| *known == kind);
        let Some(word) = at.and_then(|at| self.0[at]) else { return };
        let (sign, present) = tag_word(line);
        if sign > 0 && !present.is_empty() {
            line.replace_range(sign..sign + present.len(), word);
        }
    }
}

/// Makes a heading of a tag: its first letter in upper case.
pub(super) fn title(tag: &str) -> String {
    let mut title = tag.to_owned();
    if let Some(first) = title.get_mut(..1) {
        first.make_ascii_uppercase();
    }
    title
}

/// Returns how long the sign before a tag is, in bytes, and the word behind it.
fn tag_word(text: &str) -> (usize, &str) {
    let word = text.trim_start_matches(['@', '\\', ':']);
    let end = word.find(|c: char| !c.is_ascii_alphabetic()).unwrap_or(word.len());
    (text.len() - word.len(), &word[..end])
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
    /// It is surely only read, and the comments of the file say so.
    pub only_read: bool,
    /// The single value it speaks of, where the comments of the file list what comes back value by value.
    pub value: Option<String>,
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

    /// Tells whether an empty line parts the description from the entries.
    fn parted(&self, _style: &WriteStyle) -> bool {
        true
    }

    /// Returns the mark that takes over the comment of what is overridden, where there is one.
    fn inherits(&self, _dialect: Dialect) -> Option<&'static str> {
        None
    }

    /// Writes a tag that documents no part of the signature, where the notation has tags.
    fn mark(&self, _tag: &str, _text: &str, _style: &WriteStyle) -> Option<String> {
        None
    }

    /// Writes a section that documents no part of the signature, below an empty line, where the notation has sections
    /// instead of tags.
    fn section(&self, _tag: &str, _text: &str, _style: &WriteStyle) -> Vec<String> {
        Vec::new()
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
