//! Writes a file back: only comments may have changed, nothing is written over somebody else's change.

use std::io::Write;
use std::path::{Path, PathBuf};

use vinequill_core::proof::{CodeChanged, only_comments_changed};
use vinequill_core::reading::{Language, Parsers};
use vinequill_core::text::Source;

use crate::Decoded;

/// A file that was not written.
#[derive(Debug, thiserror::Error)]
#[non_exhaustive]
pub enum WriteFailure {
    /// The change would touch code.
    #[error("{}: {source}", path.display())]
    Code {
        /// The file.
        path: PathBuf,
        /// Where.
        source: CodeChanged,
    },
    /// The file was changed by somebody else since it was read.
    #[error("{}: changed since it was read; left alone, run the command again", .0.display())]
    Changed(PathBuf),
    /// The new text has characters that the file's encoding lacks.
    #[error("{}: the new text has characters that the file's encoding lacks; left alone", .0.display())]
    Encoding(PathBuf),
    /// The system refused.
    #[error("{}: {source}", path.display())]
    Io {
        /// The file.
        path: PathBuf,
        /// Why.
        source: std::io::Error,
    },
}

/// Writes `text` in place of what `before` was read from.
///
/// The new text is proved to differ in comments only; the file is replaced as a whole, keeps its encoding,
/// mode and, where it is reached through one, its link.
///
/// # Errors
/// [`WriteFailure`]; the file is then as it was.
pub fn write(
    path: &Path,
    before: &Decoded,
    text: &str,
    language: &Language,
    parsers: &mut Parsers,
) -> Result<(), WriteFailure> {
    let (old, new) = (Source::new("", &before.text), Source::new("", text));
    only_comments_changed(&old, &new, language, parsers)
        .map_err(|source| WriteFailure::Code { path: path.to_owned(), source })?;
    let io = |source| WriteFailure::Io { path: path.to_owned(), source };
    let encode = |text| before.encoding.encode(text).ok_or_else(|| WriteFailure::Encoding(path.to_owned()));
    let (expected, bytes) = (encode(&before.text)?, encode(text)?);
    let target = std::fs::canonicalize(path).map_err(io)?;
    if std::fs::read(&target).map_err(io)? != expected {
        return Err(WriteFailure::Changed(path.to_owned()));
    }
    let folder = target.parent().unwrap_or_else(|| Path::new("."));
    let mut temporary = tempfile::NamedTempFile::new_in(folder).map_err(io)?;
    temporary.write_all(&bytes).map_err(io)?;
    temporary.as_file().sync_all().map_err(io)?;
    let permissions = std::fs::metadata(&target).map_err(io)?.permissions();
    std::fs::set_permissions(temporary.path(), permissions).map_err(io)?;
    temporary.persist(&target).map_err(|error| io(error.error))?;
    Ok(())
}
