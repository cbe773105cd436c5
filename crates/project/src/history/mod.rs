//! What version control remembers: revisions, the files they had, and what a change did to them. Nothing is
//! checked out, and nothing is written.

mod changes;
mod line;
mod revision;
mod versions;

use std::collections::HashMap;
use std::path::{Path, PathBuf};

use gix::bstr::ByteSlice;
use gix::objs::tree::EntryKind;

pub use changes::{Change, Since};
pub use line::{From, Step};
pub(crate) use revision::Files;
pub use revision::InRevision;
pub use versions::Version;

/// A revision, or history, that cannot be had.
#[derive(Debug, thiserror::Error)]
#[non_exhaustive]
pub enum HistoryFailure {
    /// There is no repository.
    #[error("{}: there is no repository here or above, so there is no history to compare with", .0.display())]
    None(PathBuf),
    /// The repository has no working tree.
    #[error("{}: this repository is bare: it has no files to compare; run this in a working tree", .0.display())]
    Bare(PathBuf),
    /// A revision is not there.
    #[error("there is no revision `{rev}` here; {hint}")]
    Revision {
        /// What was named.
        rev: String,
        /// The way out.
        hint: String,
    },
    /// Two revisions have no common ancestor that is known.
    #[error("`{rev}` and the current revision have no common ancestor that is known here; {hint}")]
    Unrelated {
        /// What was named.
        rev: String,
        /// The way out.
        hint: String,
    },
    /// A glob does not compile.
    #[error("{0}")]
    Pattern(String),
    /// The repository cannot be read.
    #[error("the repository cannot be read: {0}")]
    Broken(String),
}

fn broken(error: impl std::fmt::Display) -> HistoryFailure {
    HistoryFailure::Broken(error.to_string())
}

/// The object that holds a file's content.
pub type BlobId = gix::ObjectId;

/// A commit.
pub type CommitId = gix::ObjectId;

/// The files of a revision, or of what is staged, by their path in the project.
#[derive(Debug, Default)]
pub struct Snapshot {
    files: HashMap<String, BlobId>,
    /// Folders that belong to repositories of their own.
    links: Vec<String>,
}

impl Snapshot {
    /// Returns the content of a file.
    #[must_use]
    pub fn get(&self, path: &str) -> Option<BlobId> {
        self.files.get(path).copied()
    }

    /// Returns all files, in no order.
    pub fn files(&self) -> impl Iterator<Item = (&str, BlobId)> {
        self.files.iter().map(|(path, &blob)| (path.as_str(), blob))
    }

    /// Tells whether a file belongs to a repository inside this one.
    fn is_linked(&self, path: &str) -> bool {
        self.links
            .iter()
            .any(|link| path.strip_prefix(link.as_str()).is_some_and(|rest| rest.starts_with('/')))
    }
}

/// The repository around a project.
pub struct Repository {
    inner: gix::Repository,
    /// The path of the project in the working tree, empty or ending with `/`.
    prefix: String,
}

impl Repository {
    /// Opens the repository around a folder. The configuration of whoever works here plays no part.
    ///
    /// # Errors
    /// [`HistoryFailure`] when there is none, or none with a working tree.
    pub fn around(root: &Path) -> Result<Self, HistoryFailure> {
        let root = root.canonicalize().unwrap_or_else(|_| root.to_owned());
        let mut inner = gix::discover_opts(&root, Default::default(), gix::open::Options::isolated())
            .map_err(|_| HistoryFailure::None(root.clone()))?;
        inner.object_cache_size_if_unset(32 << 20);
        let Some(work) = inner.workdir() else { return Err(HistoryFailure::Bare(root)) };
        let work = work.canonicalize().unwrap_or_else(|_| work.to_owned());
        let inside = root.strip_prefix(&work).unwrap_or(Path::new(""));
        let parts: Vec<_> = inside.components().map(|part| part.as_os_str().to_string_lossy()).collect();
        let prefix = if parts.is_empty() { String::new() } else { parts.join("/") + "/" };
        Ok(Self { inner, prefix })
    }

    /// Finds a commit.
    ///
    /// # Errors
    /// [`HistoryFailure::Revision`] when it is not there, with the way out.
    pub fn commit(&self, rev: &str) -> Result<CommitId, HistoryFailure> {
        let missing = || HistoryFailure::Revision { rev: rev.to_owned(), hint: self.hint() };
        let found = self.inner.rev_parse_single(rev.as_bytes().as_bstr()).map_err(|_| missing())?;
        let object = found.object().map_err(|_| missing())?;
        object.peel_to_kind(gix::objs::Kind::Commit).map(|commit| commit.id).map_err(|_| missing())
    }

    /// Finds where a revision and the current one part: what the current one is compared with.
    ///
    /// # Errors
    /// [`HistoryFailure`] when there is no such revision, or nothing in common with it.
    pub fn base(&self, rev: &str) -> Result<CommitId, HistoryFailure> {
        // `main...` says the same in version control's own words.
        let named = rev.strip_suffix("...").unwrap_or(rev);
        let other = self.commit(named)?;
        let head = self.commit("HEAD")?;
        let unrelated = || HistoryFailure::Unrelated { rev: named.to_owned(), hint: self.hint() };
        let base = self.inner.merge_base(other, head).map_err(|_| unrelated())?;
        base.map(gix::Id::detach).ok_or_else(unrelated)
    }

    fn hint(&self) -> String {
        if self.inner.is_shallow().unwrap_or(false) {
            "the history here is shallow: fetch more of it (`git fetch --unshallow`), or name a revision that is there"
                .to_owned()
        } else {
            "name a branch, a tag or a commit that `git rev-parse` knows".to_owned()
        }
    }

    /// Returns the files of a commit that are in the project.
    ///
    /// # Errors
    /// [`HistoryFailure::Broken`] when objects are missing.
    pub fn snapshot(&self, commit: CommitId) -> Result<Snapshot, HistoryFailure> {
        let tree = self.inner.find_commit(commit).map_err(broken)?.tree().map_err(broken)?;
        let mut out = Snapshot::default();
        for entry in tree.traverse().breadthfirst.files().map_err(broken)? {
            let path = entry.filepath.to_str_lossy();
            let Some(path) = path.strip_prefix(self.prefix.as_str()) else { continue };
            match entry.mode.kind() {
                EntryKind::Blob | EntryKind::BlobExecutable => {
                    out.files.insert(path.to_owned(), entry.oid);
                }
                EntryKind::Commit => out.links.push(path.to_owned()),
                EntryKind::Tree | EntryKind::Link => {}
            }
        }
        Ok(out)
    }

    /// Returns the content of a file.
    ///
    /// # Errors
    /// [`HistoryFailure::Broken`] when it is missing.
    pub fn bytes(&self, blob: BlobId) -> Result<Vec<u8>, HistoryFailure> {
        Ok(self.inner.find_blob(blob).map_err(broken)?.take_data())
    }

    /// Opens what is staged: the index, or the one that a hook names.
    fn index(&self) -> Result<gix::index::File, HistoryFailure> {
        let path = match std::env::var_os("GIT_INDEX_FILE") {
            Some(named) => PathBuf::from(named),
            None => self.inner.index_path(),
        };
        gix::index::File::at_or_default(path, self.inner.object_hash(), true, Default::default())
            .map_err(broken)
    }
}
