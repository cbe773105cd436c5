//! Proves that a change touches nothing but comments: the tokens of the code stay identical.

use crate::reading::{Language, Parsers};
use crate::text::{Source, narrow};

/// A change that would touch more than comments.
#[derive(Debug, Clone, PartialEq, Eq, thiserror::Error)]
#[error("the change would alter code at line {line}; it was not made")]
pub struct CodeChanged {
    /// The first line, from 1, at which the code differs, in the old text.
    pub line: u32,
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
    let old = language.reader.tokens(before, parsers);
    let new = language.reader.tokens(after, parsers);
    let differs = old
        .iter()
        .zip(&new)
        .position(|(old, new)| old.kind != new.kind || before.slice(old.span) != after.slice(new.span));
    let at = match differs {
        Some(at) => at,
        None if old.len() == new.len() => return Ok(()),
        None => old.len().min(new.len()),
    };
    let offset = old.get(at).map_or(before.text().len(), |token| token.span.start as usize);
    Err(CodeChanged { line: before.line(narrow(offset)) })
}
