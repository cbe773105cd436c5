//! Proves that a change touches nothing but comments: the tokens of the code stay identical.

use crate::reading::{Language, Parsers, Token};
use crate::text::{Source, narrow};

/// A change that would touch more than comments.
#[derive(Debug, Clone, PartialEq, Eq, thiserror::Error)]
#[error("the change would alter code at line {line}; it was not made")]
pub struct CodeChanged {
    /// The first line, from 1, at which the code differs, in the old text.
    pub line: u32,
}

/// The code of a text, against which changes of it are held.
pub struct Code<'s> {
    source: &'s Source,
    tokens: Vec<Token>,
}

impl<'s> Code<'s> {
    /// Reads the code of a text.
    #[must_use]
    pub fn of(source: &'s Source, language: &Language, parsers: &mut Parsers) -> Self {
        Self { source, tokens: language.reader.tokens(source, parsers) }
    }

    /// Compares the code of this text with that of a change of it.
    ///
    /// # Errors
    /// [`CodeChanged`] when a token outside comments and docstrings differs, is missing or was added.
    pub fn compare(
        &self,
        after: &Source,
        language: &Language,
        parsers: &mut Parsers,
    ) -> Result<(), CodeChanged> {
        let (old, new) = (&self.tokens, language.reader.tokens(after, parsers));
        let same = |old: &Token, new: &Token| {
            old.kind == new.kind && self.source.slice(old.span) == after.slice(new.span)
        };
        let at = match old.iter().zip(&new).position(|(old, new)| !same(old, new)) {
            Some(at) => at,
            None if old.len() == new.len() => return Ok(()),
            None => old.len().min(new.len()),
        };
        let offset = old.get(at).map_or(self.source.text().len(), |token| token.span.start as usize);
        Err(CodeChanged { line: self.source.line(narrow(offset)) })
    }
}

/// Compares the code of two texts.
///
/// # Errors
/// [`CodeChanged`] when a token outside comments and docstrings differs, is missing or was added.
pub fn only_comments_changed(
    before: &Source,
    after: &Source,
    language: &Language,
    parsers: &mut Parsers,
) -> Result<(), CodeChanged> {
    Code::of(before, language, parsers).compare(after, language, parsers)
}
