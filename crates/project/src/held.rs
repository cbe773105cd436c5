//! The text of a reviewed file until its findings are shown. Of a large tree the texts weigh more than all else, so
//! that beyond some megabytes they are packed.

use std::path::PathBuf;
use std::sync::atomic::{AtomicU64, Ordering};

use vinequill_core::text::Source;

use crate::cache::{ContentHash, hash};
use crate::decode::{Encoding, read};

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
    encoding: Encoding,
}

/// How a text is held.
enum Text {
    Not,
    Whole(Source),
    Packed(Vec<u8>),
    OnDisk(Box<OnDisk>),
}

/// A file that is as it was when it was reviewed, and is only read when its findings are shown.
pub(crate) struct OnDisk {
    pub(crate) file: PathBuf,
    /// The most bytes that are read of it.
    pub(crate) limit: u64,
    /// The label of the encoding of what is neither UTF-8 nor UTF-16 with a mark.
    pub(crate) label: Option<String>,
    /// What its text had as its hash.
    pub(crate) content: ContentHash,
}

impl OnDisk {
    /// Reads it; nothing when it changed in between.
    fn read(&self) -> Option<(String, Encoding)> {
        let decoded = read(&self.file, self.limit, self.label.as_deref()).ok()?;
        (hash(decoded.text.as_bytes()) == self.content).then_some((decoded.text, decoded.encoding))
    }
}

impl Held {
    /// Holds a text, packed when there is no `room` for it.
    #[must_use]
    pub fn of(source: &Source, encoding: Encoding, room: &Room) -> Self {
        let length = source.text().len() as u64;
        let text = if room.take(length) {
            Text::Whole(source.clone())
        } else {
            Text::Packed(lz4_flex::compress_prepend_size(source.text().as_bytes()))
        };
        Self { path: source.path().to_owned(), length, text, encoding }
    }

    /// Holds no text, of which only the length in bytes is known.
    #[must_use]
    pub fn nothing(path: &str, length: u64) -> Self {
        Self { path: path.to_owned(), length, text: Text::Not, encoding: Encoding::Utf8 }
    }

    /// Leaves a text of some length in bytes where it is until it is asked for.
    pub(crate) fn on_disk(path: &str, length: u64, file: OnDisk) -> Self {
        Self { path: path.to_owned(), length, text: Text::OnDisk(Box::new(file)), encoding: Encoding::Utf8 }
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
        self.open().0
    }

    /// Returns the text, empty where it is not held, and how the file's bytes encode it.
    #[must_use]
    pub fn open(&self) -> (Source, Encoding) {
        let (text, encoding) = match &self.text {
            Text::Whole(source) => return (source.clone(), self.encoding),
            // What was packed here is text.
            Text::Packed(packed) => {
                let bytes = lz4_flex::decompress_size_prepended(packed).ok();
                (bytes.and_then(|bytes| String::from_utf8(bytes).ok()).unwrap_or_default(), self.encoding)
            }
            // Nothing can be shown of a text that has gone; its findings still have a place in as many blanks.
            Text::OnDisk(file) => file.read().unwrap_or_else(|| {
                let length = usize::try_from(self.length).unwrap_or_default();
                (" ".repeat(length), self.encoding)
            }),
            Text::Not => (String::new(), self.encoding),
        };
        (Source::new(&self.path, &text), encoding)
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_text_comes_back_as_it_was() {
        let source = Source::new("a.py", "def weigh():\n    return 'é'\n");
        for room in [Room::default(), Room(AtomicU64::new(3))] {
            let held = Held::of(&source, Encoding::Utf8Marked, &room);
            assert_eq!(held.open().0.text(), source.text());
            assert_eq!(held.open().1, Encoding::Utf8Marked);
            assert_eq!((held.path(), held.length()), ("a.py", source.text().len() as u64));
        }
        assert_eq!(Held::nothing("b.py", 7).source().text(), "");
    }

    #[test]
    fn a_text_on_disk_is_read_when_it_is_asked_for() {
        let folder = tempfile::tempdir().unwrap();
        let file = folder.path().join("a.py");
        std::fs::write(&file, b"\xEF\xBB\xBFdef weigh(): ...\n").unwrap();
        let text = "def weigh(): ...\n";
        let on_disk = OnDisk { file: file.clone(), limit: 100, label: None, content: hash(text.as_bytes()) };
        let held = Held::on_disk("a.py", text.len() as u64, on_disk);
        assert_eq!((held.open().0.text(), held.open().1), (text, Encoding::Utf8Marked));
        std::fs::write(&file, "def sow(): ...\n").unwrap();
        assert_eq!(held.source().text(), " ".repeat(text.len()));
    }
}
