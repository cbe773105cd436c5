//! What the grammar is given of a source: a step of its own between text and tree.
//!
//! What a grammar cannot read is blanked at equal byte length, so that every position stays true; what
//! it need not read is left out through included ranges.

use std::borrow::Cow;

use tree_sitter::Range;

/// The text and ranges that a grammar is given.
#[derive(Debug)]
pub struct Given<'s> {
    text: Cow<'s, str>,
    ranges: Vec<Range>,
}

impl<'s> Given<'s> {
    /// Gives all of `text` as it stands.
    #[must_use]
    pub fn all(text: &'s str) -> Self {
        Self { text: Cow::Borrowed(text), ranges: Vec::new() }
    }

    /// Returns the text, as long in bytes as the source's.
    #[must_use]
    pub fn text(&self) -> &str {
        &self.text
    }

    /// Returns the ranges to be read; none means all.
    #[must_use]
    pub fn ranges(&self) -> &[Range] {
        &self.ranges
    }

    /// Blanks a byte range; line ends and all byte positions stay.
    pub fn blank(&mut self, range: std::ops::Range<usize>) {
        let mut bytes = std::mem::take(&mut self.text).into_owned().into_bytes();
        for byte in bytes.iter_mut().take(range.end).skip(range.start) {
            if !matches!(*byte, b'\n' | b'\r') {
                *byte = b' ';
            }
        }
        // A range that splits a character leaves part of it behind, which is replaced at equal length.
        self.text = Cow::Owned(String::from_utf8(bytes).unwrap_or_else(|bad| {
            let ascii = bad.into_bytes().into_iter().map(|b| if b.is_ascii() { b as char } else { ' ' });
            ascii.collect()
        }));
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn blanking_keeps_length_and_lines() {
        let mut given = Given::all("int API\nfoö();");
        given.blank(4..10);
        assert_eq!(given.text(), "int    \n  ö();");
    }
}
