//! What each file was, commit by commit along the first parents.

use std::collections::{HashMap, HashSet};

use gix::bstr::ByteSlice;
use gix::objs::tree::EntryKind;

use super::{BlobId, From, HistoryFailure, Repository, Step, broken};

/// A commit that changed a file.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Version {
    /// The commit.
    pub step: Step,
    /// What the file was before; nothing where the commit made it.
    pub before: Option<BlobId>,
    /// What it was afterwards.
    pub now: BlobId,
}

/// An entry of a tree: what it is, and the object.
type Entry = (EntryKind, gix::ObjectId);

/// Takes a file that differs: its path, what it was, and what it is.
type Each<'a> = dyn FnMut(&str, Option<BlobId>, Option<BlobId>) + 'a;

impl Repository {
    /// Returns for each of some files of the project the commits that changed it, newest first. Only what differs from
    /// one commit to the next is looked into. Names that a file had before are not followed.
    ///
    /// # Errors
    /// [`HistoryFailure`] when there is no commit, or an object is missing.
    pub fn versions(&self, paths: &HashSet<&str>) -> Result<HashMap<String, Vec<Version>>, HistoryFailure> {
        let line = self.line(&From::Start)?;
        let folders: HashSet<String> = paths
            .iter()
            .flat_map(|path| {
                let full = format!("{}{path}", self.prefix);
                full.match_indices('/').map(|(at, _)| full[..at].to_owned()).collect::<Vec<_>>()
            })
            .collect();
        let mut out: HashMap<String, Vec<Version>> = HashMap::new();
        for (at, &step) in line.iter().enumerate() {
            let tree = |step: &Step| -> Result<gix::ObjectId, HistoryFailure> {
                let commit = self.inner.find_commit(step.commit).map_err(broken)?;
                Ok(commit.tree_id().map_err(broken)?.detach())
            };
            let now = tree(&step)?;
            let before = line.get(at + 1).map(tree).transpose()?;
            // Where a shallow history ends nobody knows what was before.
            if before.is_none() && self.inner.is_shallow().unwrap_or(false) {
                break;
            }
            self.compare((before, Some(now)), "", Some(&folders), &mut |path, before, now| {
                let Some(path) = path.strip_prefix(self.prefix.as_str()).filter(|path| paths.contains(path))
                else {
                    return;
                };
                if let Some(now) = now {
                    out.entry(path.to_owned()).or_default().push(Version { step, before, now });
                }
            })?;
        }
        Ok(out)
    }

    /// Calls `each` with every file that differs between two trees, below the folders that matter; all do where none
    /// are given.
    pub(super) fn compare(
        &self,
        (before, now): (Option<gix::ObjectId>, Option<gix::ObjectId>),
        folder: &str,
        folders: Option<&HashSet<String>>,
        each: &mut Each<'_>,
    ) -> Result<(), HistoryFailure> {
        if before == now {
            return Ok(());
        }
        let (before, now) = (self.entries(before)?, self.entries(now)?);
        let names: HashSet<&String> = before.keys().chain(now.keys()).collect();
        for name in names {
            let (was, is) = (before.get(name).copied(), now.get(name).copied());
            if was == is {
                continue;
            }
            let path = if folder.is_empty() { name.clone() } else { format!("{folder}/{name}") };
            let of = |entry: Option<Entry>, tree: bool| {
                entry.filter(|(kind, _)| (*kind == EntryKind::Tree) == tree).map(|(_, id)| id)
            };
            let trees = (of(was, true), of(is, true));
            if trees != (None, None) && folders.is_none_or(|folders| folders.contains(&path)) {
                self.compare(trees, &path, folders, each)?;
            }
            let blobs = (of(was, false), of(is, false));
            if blobs != (None, None) {
                each(&path, blobs.0, blobs.1);
            }
        }
        Ok(())
    }

    fn entries(&self, tree: Option<gix::ObjectId>) -> Result<HashMap<String, Entry>, HistoryFailure> {
        let Some(tree) = tree else { return Ok(HashMap::new()) };
        let tree = self.inner.find_tree(tree).map_err(broken)?;
        let mut out = HashMap::new();
        for entry in tree.iter() {
            let entry = entry.map_err(broken)?;
            let kind = entry.mode().kind();
            if matches!(kind, EntryKind::Tree | EntryKind::Blob | EntryKind::BlobExecutable) {
                // Whether a file can be run is no content.
                let kind = if kind == EntryKind::Tree { kind } else { EntryKind::Blob };
                out.insert(entry.filename().to_str_lossy().into_owned(), (kind, entry.object_id()));
            }
        }
        Ok(out)
    }
}
