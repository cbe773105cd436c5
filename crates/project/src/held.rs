//! The text of a reviewed file until its findings are shown. Of a large tree the texts weigh more than all else, so
//! that beyond some megabytes they are packed.

use std::sync::atomic::{AtomicU64, Ordering};

use vinequill_core::text::Source;

/// Bytes of text that are held as they are: packing takes time, and most projects need none.
const ROOM: u64 = 6 << 20;

/// What room is left for texts that are held as they are.
pub struct Room(AtomicU64);

impl Default for Room {
    fn default() -> Self {
        Self(AtomicU64::new(ROOM))
    }
}

impl Room {
    /// Takes room for some bytes, where there is so much left.
    fn take(&self, bytes: u64) -> bool {
        let less = |left: u64| left.checked_sub(bytes);
        self.0.fetch_update(Ordering::Relaxed, Ordering::Relaxed, less).is_ok()
    }
}

/// A path, and the text of its file where that is needed again.
pub struct Held {
    path: String,
    /// Length of the text in bytes, whether or not it is held.
    length: u64,
    text: Text,
}

/// How a text is held.
enum Text {
    Not,
    Whole(Source),
    Packed(Vec<u8>),
}

impl Held {
    /// Holds a text, packed when there is no `room` for it.
    #[must_use]
    pub fn of(source: &Source, room: &Room) -> Self {
        let length = source.text().len() as u64;
        let text = if room.take(length) {
            Text::Whole(source.clone())
        } else {
            Text::Packed(lz4_flex::compress_prepend_size(source.text().as_bytes()))
        };
        Self { path: source.path().to_owned(), length, text }
    }

    /// Holds no text, of which only the length in bytes is known.
    #[must_use]
    pub fn nothing(path: &str, length: u64) -> Self {
        Self { path: path.to_owned(), length, text: Text::Not }
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

    /// Returns the text; empty where it is not held.
    #[must_use]
    pub fn source(&self) -> Source {
        let bytes = match &self.text {
            Text::Whole(source) => return source.clone(),
            Text::Packed(packed) => lz4_flex::decompress_size_prepended(packed).ok(),
            Text::Not => None,
        };
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
        for room in [Room::default(), Room(AtomicU64::new(3))] {
            let held = Held::of(&source, &room);
            assert_eq!(held.source().text(), source.text());
            assert_eq!((held.path(), held.length()), ("a.py", source.text().len() as u64));
        }
        assert_eq!(Held::nothing("b.py", 7).source().text(), "");
    }
}
