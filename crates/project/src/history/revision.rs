//! The files that a revision had, as a run would have found them.

use std::path::{Path, PathBuf};

use vinequill_core::settings::Settings;

use super::{BlobId, CommitId, HistoryFailure, Repository};
use crate::decode::decode;
use crate::walk::{Filter, WalkFailure};
use crate::{Found, Selection};

/// Which files of a revision count.
pub struct InRevision<'a> {
    /// The folder that paths are relative to.
    pub root: &'a Path,
    /// Files and folders that were named; absolute.
    pub paths: &'a [PathBuf],
    /// What to look for.
    pub selection: &'a Selection,
    /// What holds.
    pub settings: &'a Settings,
}

impl Repository {
    /// Returns the files that a commit had, sorted by path, each with the object that holds it; their texts are not
    /// read yet.
    ///
    /// # Errors
    /// [`HistoryFailure::Broken`] when objects are missing, [`HistoryFailure::Pattern`] when a glob does not compile.
    pub fn found_in(
        &self,
        commit: CommitId,
        wanted: &InRevision<'_>,
    ) -> Result<Vec<(Found, BlobId)>, HistoryFailure> {
        let pattern = |failure: WalkFailure| HistoryFailure::Pattern(failure.to_string());
        let filter = Filter::of(wanted.selection, wanted.settings).map_err(pattern)?;
        let mut out = Vec::new();
        for (path, blob) in self.snapshot(commit)?.files() {
            let full = wanted.root.join(path);
            let below = wanted.paths.iter().find(|named| full.starts_with(named));
            let Some(named) = below.map(|named| *named == full) else { continue };
            out.extend(filter.of_revision(&full, path, named).map(|found| (found, blob)));
        }
        out.sort_by(|(one, _), (other, _)| one.shown.cmp(&other.shown));
        Ok(out)
    }

    /// Reads the text of a file of a revision; nothing when it is none.
    ///
    /// # Errors
    /// [`HistoryFailure::Broken`] when its object is missing.
    pub fn with_text(
        &self,
        (found, blob): (&Found, BlobId),
        settings: &Settings,
    ) -> Result<Option<Found>, HistoryFailure> {
        let bytes = self.bytes(blob)?;
        let size = u64::try_from(bytes.len()).unwrap_or(u64::MAX);
        if size > settings.max_file_size {
            return Ok(None);
        }
        let label = settings.language(found.language.id).encoding.as_deref();
        Ok(decode(bytes, label).map(|text| Found { given: Some(text), ..found.clone() }))
    }
}
