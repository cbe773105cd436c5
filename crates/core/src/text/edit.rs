//! Changes to a text as plain data: sorted, disjoint, checked when they are gathered.

use super::Span;

/// Replaces the bytes of a span; an empty span inserts.
#[derive(Clone, Debug, PartialEq, Eq, serde::Serialize, serde::Deserialize)]
pub struct Edit {
    /// What is replaced, in bytes of the old text.
    pub span: Span,
    /// What stands there afterwards.
    pub text: String,
}

/// Edits of one text. Invariant: sorted by start, and no two touch the same byte.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct Edits(Vec<Edit>);

/// Edits that cannot be made together.
#[derive(Debug, thiserror::Error, PartialEq, Eq)]
#[non_exhaustive]
pub enum EditError {
    /// Two edits change the same bytes.
    #[error("two edits change the same bytes, at offsets {first} and {second}")]
    Overlap {
        /// Start of the first.
        first: u32,
        /// Start of the second.
        second: u32,
    },
    /// An edit lies outside the text or splits a character.
    #[error("an edit at offset {0} does not fit the text")]
    Outside(u32),
}

impl Edits {
    /// Gathers edits in any order; insertions at one place keep the order given.
    ///
    /// # Errors
    /// [`EditError::Overlap`] when two of them change the same bytes.
    pub fn new(mut edits: Vec<Edit>) -> Result<Self, EditError> {
        edits.sort_by_key(|edit| (edit.span.start, edit.span.end));
        for pair in edits.windows(2) {
            if pair[1].span.start < pair[0].span.end {
                return Err(EditError::Overlap { first: pair[0].span.start, second: pair[1].span.start });
            }
        }
        Ok(Self(edits))
    }

    /// Tells whether there is nothing to do.
    #[must_use]
    pub fn is_empty(&self) -> bool {
        self.0.is_empty()
    }

    /// Returns the edits in order.
    #[must_use]
    pub fn as_slice(&self) -> &[Edit] {
        &self.0
    }

    /// Returns `text` with the edits made.
    ///
    /// # Errors
    /// [`EditError::Outside`] when an edit does not fit the text.
    pub fn apply(&self, text: &str) -> Result<String, EditError> {
        let mut out = String::with_capacity(text.len() + self.0.iter().map(|e| e.text.len()).sum::<usize>());
        let mut at = 0;
        for edit in &self.0 {
            let outside = EditError::Outside(edit.span.start);
            text.get(edit.span.range()).ok_or(EditError::Outside(edit.span.start))?;
            out.push_str(text.get(at..edit.span.start as usize).ok_or(outside)?);
            out.push_str(&edit.text);
            at = edit.span.end as usize;
        }
        out.push_str(&text[at..]);
        Ok(out)
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn edit(start: u32, end: u32, text: &str) -> Edit {
        Edit { span: Span::new(start, end), text: text.to_owned() }
    }

    #[test]
    fn edits_are_made_in_order_of_place() {
        let edits = Edits::new(vec![edit(4, 5, "E"), edit(0, 0, ">"), edit(0, 0, "!")]).unwrap();
        assert_eq!(edits.apply("abcde").unwrap(), ">!abcdE");
    }

    #[test]
    fn edits_of_the_same_bytes_are_refused() {
        assert!(Edits::new(vec![edit(0, 3, "x"), edit(2, 4, "y")]).is_err());
        assert!(Edits::new(vec![edit(9, 12, "x")]).unwrap().apply("short").is_err());
    }
}
