//! The files that a revision had, as a run would have found them.

use std::path::{Path, PathBuf};

use vinequill_core::settings::Settings;

use super::{BlobId, CommitId, HistoryFailure, Repository, broken};
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

/// The files that count, on the way from one commit to another.
pub(crate) struct Files<'a> {
    repository: &'a Repository,
    wanted: &'a InRevision<'a>,
    filter: Filter<'a>,
    /// The tree of the commit that was looked at last.
    tree: Option<gix::ObjectId>,
}

/// A file that differs from one commit to the next: its path, and what it is now where it is there and counts.
pub(crate) type Difference = (String, Option<(Found, BlobId)>);

impl<'a> Files<'a> {
    /// Begins where there is nothing.
    pub(crate) fn of(repository: &'a Repository, wanted: &'a InRevision<'a>) -> Result<Self, HistoryFailure> {
        let pattern = |failure: WalkFailure| HistoryFailure::Pattern(failure.to_string());
        let filter = Filter::of(wanted.selection, wanted.settings).map_err(pattern)?;
        Ok(Self { repository, wanted, filter, tree: None })
    }

    /// Goes on to a commit, and returns what differs there.
    pub(crate) fn go_to(&mut self, commit: CommitId) -> Result<Vec<Difference>, HistoryFailure> {
        let commit = self.repository.inner.find_commit(commit).map_err(broken)?;
        let tree = commit.tree_id().map_err(broken)?.detach();
        let mut out = Vec::new();
        self.repository.compare((self.tree, Some(tree)), "", None, &mut |path, _, now| {
            let Some(path) = path.strip_prefix(self.repository.prefix.as_str()) else { return };
            let found = now.and_then(|blob| Some((self.admit(path)?, blob)));
            out.push((path.to_owned(), found));
        })?;
        self.tree = Some(tree);
        Ok(out)
    }

    fn admit(&self, path: &str) -> Option<Found> {
        let full = self.wanted.root.join(path);
        let named =
            self.wanted.paths.iter().find(|named| full.starts_with(named)).map(|named| *named == full)?;
        self.filter.of_revision(&full, path, named)
    }
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
        let differs = Files::of(self, wanted)?.go_to(commit)?;
        let mut out: Vec<(Found, BlobId)> = differs.into_iter().filter_map(|(_, found)| found).collect();
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
