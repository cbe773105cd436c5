//! Bytes to text and back: encodings, byte order marks, and positions in the file's own bytes.

use std::path::{Path, PathBuf};

use encoding_rs::{UTF_16BE, UTF_16LE, WINDOWS_1252};

/// How a file's bytes encode its text.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Encoding {
    /// UTF-8 without a mark.
    Utf8,
    /// UTF-8 with a byte order mark.
    Utf8Marked,
    /// UTF-16, least byte first, with a mark.
    Utf16Le,
    /// UTF-16, most byte first, with a mark.
    Utf16Be,
    /// Another, such as Windows-1252.
    Other(&'static encoding_rs::Encoding),
}

/// A file's text and how it was encoded.
#[derive(Clone, Debug)]
pub struct Decoded {
    /// The text, without a byte order mark.
    pub text: String,
    /// How the bytes encode it.
    pub encoding: Encoding,
}

/// A file that could not be read as text.
#[derive(Debug, thiserror::Error)]
#[non_exhaustive]
pub enum ReadFailure {
    /// The system refused.
    #[error("{}: {source}", path.display())]
    Io {
        /// The file.
        path: PathBuf,
        /// Why.
        source: std::io::Error,
    },
    /// It holds zero bytes and no text.
    #[error("{}: this is a binary file, not source text", .0.display())]
    Binary(PathBuf),
    /// This program failed at it.
    #[error("{}: an internal error, please report it; the file was left out", .0.display())]
    Defect(PathBuf),
    /// It is larger than allowed.
    #[error("{}: larger than {limit} bytes; raise `max-file-size` to read it", path.display())]
    TooLarge {
        /// The file.
        path: PathBuf,
        /// The limit in bytes.
        limit: u64,
    },
}

/// Finds an encoding by its label, such as `windows-1252` or `shift_jis` (the labels of the WHATWG standard).
/// UTF-16 has none here: it is known by its mark.
#[must_use]
pub(crate) fn encoding_named(label: &str) -> Option<&'static encoding_rs::Encoding> {
    encoding_rs::Encoding::for_label_no_replacement(label.as_bytes())
        .filter(|found| *found != UTF_16LE && *found != UTF_16BE)
}

/// Reads a file of at most `limit` bytes. `label` names the encoding of what is neither UTF-8 nor UTF-16 with a
/// mark; Windows-1252 unless given.
///
/// # Errors
/// [`ReadFailure`] when the system refuses, the file is binary, or larger than the limit.
pub fn read(path: &Path, limit: u64, label: Option<&str>) -> Result<Decoded, ReadFailure> {
    let io = |source| ReadFailure::Io { path: path.to_owned(), source };
    let size = std::fs::metadata(path).map_err(io)?.len();
    if size > limit {
        return Err(ReadFailure::TooLarge { path: path.to_owned(), limit });
    }
    let bytes = std::fs::read(path).map_err(io)?;
    decode(bytes, label).ok_or_else(|| ReadFailure::Binary(path.to_owned()))
}

/// Decodes bytes: UTF-16 by its mark, UTF-8 when they are that, otherwise in the encoding that `label` names, or
/// Windows-1252. Nothing when they are no text.
#[must_use]
pub fn decode(bytes: Vec<u8>, label: Option<&str>) -> Option<Decoded> {
    let utf16 = match bytes.get(..2) {
        Some([0xFF, 0xFE]) => Some((UTF_16LE, Encoding::Utf16Le)),
        Some([0xFE, 0xFF]) => Some((UTF_16BE, Encoding::Utf16Be)),
        _ => None,
    };
    if let Some((codec, encoding)) = utf16 {
        let (text, _) = codec.decode_without_bom_handling(&bytes[2..]);
        return Some(Decoded { text: text.into_owned(), encoding });
    }
    if bytes.starts_with(&[0xEF, 0xBB, 0xBF])
        && let Ok(text) = std::str::from_utf8(&bytes[3..])
    {
        return Some(Decoded { text: text.to_owned(), encoding: Encoding::Utf8Marked });
    }
    if bytes[..bytes.len().min(8192)].contains(&0) {
        return None;
    }
    match String::from_utf8(bytes) {
        Ok(text) => Some(Decoded { text, encoding: Encoding::Utf8 }),
        Err(other) => {
            let bytes = other.into_bytes();
            let codec = label.and_then(encoding_named).unwrap_or(WINDOWS_1252);
            let (text, malformed) = codec.decode_without_bom_handling(&bytes);
            // What the named encoding cannot hold either would not come back as it was.
            let codec = if malformed { WINDOWS_1252 } else { codec };
            let text = if malformed { codec.decode_without_bom_handling(&bytes).0 } else { text };
            Some(Decoded { text: text.into_owned(), encoding: Encoding::Other(codec) })
        }
    }
}

impl Encoding {
    /// Encodes text as it was; nothing when a character is not in the encoding.
    #[must_use]
    pub fn encode(self, text: &str) -> Option<Vec<u8>> {
        let units = |order: fn(u16) -> [u8; 2]| text.encode_utf16().flat_map(order);
        Some(match self {
            Self::Utf8 => text.as_bytes().to_vec(),
            Self::Utf8Marked => [&[0xEF, 0xBB, 0xBF], text.as_bytes()].concat(),
            Self::Utf16Le => [0xFF, 0xFE].into_iter().chain(units(u16::to_le_bytes)).collect(),
            Self::Utf16Be => [0xFE, 0xFF].into_iter().chain(units(u16::to_be_bytes)).collect(),
            Self::Other(codec) => {
                let (bytes, _, unmappable) = codec.encode(text);
                if unmappable {
                    return None;
                }
                bytes.into_owned()
            }
        })
    }

    /// Tells whether offsets in the text are offsets in the file.
    #[must_use]
    pub const fn is_plain(self) -> bool {
        matches!(self, Self::Utf8)
    }

    /// Returns the offset in the file's own bytes of an offset in its text.
    #[must_use]
    pub fn file_offset(self, text: &str, offset: u32) -> u64 {
        let before = || text.get(..offset as usize).unwrap_or(text);
        let widen = |count: usize| u64::try_from(count).unwrap_or(u64::MAX);
        match self {
            Self::Utf8 => u64::from(offset),
            Self::Utf8Marked => u64::from(offset) + 3,
            Self::Utf16Le | Self::Utf16Be => 2 + 2 * widen(before().encode_utf16().count()),
            Self::Other(codec) if codec.is_single_byte() => widen(before().chars().count()),
            Self::Other(codec) => widen(codec.encode(before()).0.len()),
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn every_encoding_comes_back_as_it_was() {
        let samples: [&[u8]; 4] = [b"a\xC3\xBC", b"\xEF\xBB\xBFab", b"\xFF\xFEa\0\xFC\0", b"gr\xFCn"];
        for bytes in samples {
            let decoded = decode(bytes.to_vec(), None).unwrap();
            assert_eq!(decoded.encoding.encode(&decoded.text).unwrap(), bytes);
        }
        assert!(decode(b"a\0b".to_vec(), None).is_none());
        assert!(Encoding::Other(WINDOWS_1252).encode("\u{4e2d}").is_none());
        let decoded = decode(b"\x8e\x9e x".to_vec(), Some("shift_jis")).unwrap();
        assert_eq!((decoded.text.as_str(), decoded.encoding.file_offset("\u{6642} x", 4)), ("\u{6642} x", 3));
        assert!(encoding_named("utf-16le").is_none() && encoding_named("latin1").is_some());
    }

    #[test]
    fn offsets_are_those_of_the_file() {
        let text = "ü x";
        let at = u32::try_from(text.find('x').unwrap()).unwrap();
        assert_eq!(Encoding::Utf8.file_offset(text, at), 3);
        assert_eq!(Encoding::Utf8Marked.file_offset(text, at), 6);
        assert_eq!(Encoding::Other(WINDOWS_1252).file_offset(text, at), 2);
        assert_eq!(Encoding::Utf16Le.file_offset(text, at), 6);
    }
}
