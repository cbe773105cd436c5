//! The text of a reviewed file, packed until its findings are shown: of a large tree the texts weigh more than all else.

use vinequill_core::text::Source;

/// A path, and the text of its file where that is needed again.
pub struct Held {
    path: String,
    /// Length of the text in bytes, whether or not it is held.
    length: u64,
    packed: Option<Vec<u8>>,
}

impl Held {
    /// Holds a text.
    #[must_use]
    pub fn of(source: &Source) -> Self {
        let text = source.text();
        let packed = Some(lz4_flex::compress_prepend_size(text.as_bytes()));
        Self { path: source.path().to_owned(), length: text.len() as u64, packed }
    }

    /// Holds no text, of which only the length in bytes is known.
    #[must_use]
    pub fn nothing(path: &str, length: u64) -> Self {
        Self { path: path.to_owned(), length, packed: None }
    }

    /// Returns the path.
    #[must_use]
    pub fn path(&self) -> &str {
        &self.path
    }

    /// Returns the length of the text in bytes.
    #[must_use]
    pub const fn length(&self) -> u64 {
        self.length
    }

    /// Unpacks the text; empty where it is not held.
    #[must_use]
    pub fn source(&self) -> Source {
        let bytes =
            self.packed.as_deref().and_then(|packed| lz4_flex::decompress_size_prepended(packed).ok());
        // What was packed here is text.
        let text = bytes.and_then(|bytes| String::from_utf8(bytes).ok()).unwrap_or_default();
        Source::new(&self.path, &text)
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_text_comes_back_as_it_was() {
        let source = Source::new("a.py", "def weigh():\n    return 'é'\n");
        let held = Held::of(&source);
        assert_eq!(held.source().text(), source.text());
        assert_eq!((held.path(), held.length()), ("a.py", source.text().len() as u64));
        assert_eq!(Held::nothing("b.py", 7).source().text(), "");
    }
}
