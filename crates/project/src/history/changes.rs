//! Which files a change touches, and what they were before.

use std::collections::{HashMap, HashSet};
use std::hash::{DefaultHasher, Hash, Hasher};
use std::path::Path;
use std::time::UNIX_EPOCH;

use gix::bstr::ByteSlice;
use gix::index::entry::{Mode, Stage};

use super::{BlobId, CommitId, HistoryFailure, Repository, Snapshot, broken};
use crate::Found;

/// What the files are compared with.
#[derive(Clone, Debug, PartialEq, Eq)]
pub enum Since {
    /// The files as they are, with where a revision and the current one part.
    Revision(String),
    /// What is staged, with the current revision.
    Staged,
}

/// A file that a change touches.
#[derive(Debug)]
pub struct Change {
    /// Its path in the project.
    pub path: String,
    /// What it was before, under whatever name; nothing for a file that is new.
    pub before: Option<Vec<u8>>,
    /// What is staged of it, where that is not what stands on disk.
    pub staged: Option<Vec<u8>>,
}

/// How much of its lines a file must share with one that is gone to be that one under a new name, in percent.
const ALIKE: usize = 50;

impl Repository {
    /// Returns which of `files` a change touches, in their order. What is in repositories of their own is left alone.
    ///
    /// # Errors
    /// [`HistoryFailure`] when there is no such revision, or the repository cannot be read.
    pub fn changes(&self, since: &Since, files: &[Found]) -> Result<Vec<Change>, HistoryFailure> {
        let staged = *since == Since::Staged;
        let before = match since {
            Since::Revision(rev) => self.snapshot(self.base(rev)?)?,
            // Before the first commit there is nothing to compare with: all is new.
            Since::Staged => match self.commit("HEAD") {
                Ok(head) => self.snapshot(head)?,
                Err(_) => Snapshot::default(),
            },
        };
        let index = self.index()?;
        let mut now: Vec<(usize, Option<BlobId>)> = Vec::new();
        for (at, file) in files.iter().enumerate().filter(|(_, file)| !before.is_linked(&file.shown)) {
            let blob = if staged {
                let path = format!("{}{}", self.prefix, file.shown);
                let entry = index.entry_by_path_and_stage(path.as_bytes().as_bstr(), Stage::Unconflicted);
                // What is not staged is no part of the change.
                let Some(entry) = entry else { continue };
                Some(entry.id)
            } else {
                self.blob_on_disk(file, &index, before.get(&file.shown))
            };
            if blob.is_none() || blob != before.get(&file.shown) {
                now.push((at, blob));
            }
        }
        let mut renames = Renames::of(self, &before, files, &index);
        let mut out = Vec::new();
        for (at, blob) in now {
            let file = &files[at];
            let staged_bytes = match blob.filter(|_| staged) {
                Some(blob) => Some(self.bytes(blob)?),
                None => None,
            };
            let own = || staged_bytes.clone().or_else(|| std::fs::read(&file.path).ok()).unwrap_or_default();
            let source = |renames: &mut Renames| renames.source_of(self, &file.shown, blob, &own());
            let was = before.get(&file.shown).or_else(|| source(&mut renames).map(|(_, blob)| blob));
            let before = was.map(|was| self.bytes(was)).transpose()?;
            out.push(Change { path: file.shown.clone(), before, staged: staged_bytes });
        }
        Ok(out)
    }

    /// Returns what files on disk were called at a commit, by the names that they have now: those alone that have
    /// another one.
    ///
    /// # Errors
    /// [`HistoryFailure`] when the repository cannot be read.
    pub fn renamed_since(
        &self,
        commit: CommitId,
        files: &[Found],
    ) -> Result<HashMap<String, String>, HistoryFailure> {
        let (before, index) = (self.snapshot(commit)?, self.index()?);
        let mut renames = Renames::of(self, &before, files, &index);
        let mut out = HashMap::new();
        for file in files.iter().filter(|file| before.get(&file.shown).is_none()) {
            let Ok(bytes) = std::fs::read(&file.path) else { continue };
            let blob = gix::objs::compute_hash(self.inner.object_hash(), gix::objs::Kind::Blob, &bytes).ok();
            if let Some((was, _)) = renames.source_of(self, &file.shown, blob, &bytes) {
                out.insert(file.shown.clone(), was);
            }
        }
        Ok(out)
    }

    /// Returns the object that a file on disk would be; nothing when it cannot be read. The index knows of most
    /// that they are as they were.
    fn blob_on_disk(
        &self,
        file: &Found,
        index: &gix::index::State,
        before: Option<BlobId>,
    ) -> Option<BlobId> {
        let path = format!("{}{}", self.prefix, file.shown);
        if let Some(entry) = index.entry_by_path_and_stage(path.as_bytes().as_bstr(), Stage::Unconflicted)
            && Some(entry.id) == before
            && is_as_staged(&file.path, entry)
        {
            return Some(entry.id);
        }
        let bytes = std::fs::read(&file.path).ok()?;
        gix::objs::compute_hash(self.inner.object_hash(), gix::objs::Kind::Blob, &bytes).ok()
    }
}

/// Tells by size and time alone that a file is as it was staged. One that was written in the second in which the index
/// was may have changed since, and is looked into.
fn is_as_staged(path: &Path, entry: &gix::index::Entry) -> bool {
    let Ok(found) = std::fs::metadata(path) else { return false };
    let Some(modified) = found.modified().ok().and_then(|time| time.duration_since(UNIX_EPOCH).ok()) else {
        return false;
    };
    let now = std::time::SystemTime::now().duration_since(UNIX_EPOCH).unwrap_or_default();
    let settled = now.as_secs().saturating_sub(modified.as_secs()) > 2;
    settled
        && entry.mode != Mode::SYMLINK
        && u64::from(entry.stat.size) == found.len()
        && u64::from(entry.stat.mtime.secs) == modified.as_secs()
        && (entry.stat.mtime.nsecs == 0 || entry.stat.mtime.nsecs == modified.subsec_nanos())
}

/// Files that are gone, any of which may have another name now.
struct Renames {
    gone: Vec<(String, BlobId)>,
    lines: HashMap<BlobId, Vec<u64>>,
}

impl Renames {
    fn of(repository: &Repository, before: &Snapshot, files: &[Found], index: &gix::index::State) -> Self {
        let there: HashSet<&str> = files.iter().map(|file| file.shown.as_str()).collect();
        let root = repository.inner.workdir().map(Path::to_owned).unwrap_or_default();
        let is_gone = |path: &str| {
            let full = format!("{}{path}", repository.prefix);
            let staged =
                index.entry_by_path_and_stage(full.as_bytes().as_bstr(), Stage::Unconflicted).is_some();
            !there.contains(path) && (!staged || !root.join(full).exists())
        };
        let mut gone: Vec<(String, BlobId)> = before
            .files()
            .filter(|(path, _)| is_gone(path))
            .map(|(path, blob)| (path.to_owned(), blob))
            .collect();
        gone.sort();
        Self { gone, lines: HashMap::new() }
    }

    /// Finds what a file was called before: the same content under a name that is gone, or else the most alike.
    fn source_of(
        &mut self,
        repository: &Repository,
        path: &str,
        blob: Option<BlobId>,
        bytes: &[u8],
    ) -> Option<(String, BlobId)> {
        let ending = |path: &str| path.rsplit_once('.').map(|(_, ending)| ending.to_owned());
        let found = match self.gone.iter().position(|(_, gone)| Some(*gone) == blob) {
            Some(found) => Some(found),
            None => {
                let own = line_hashes(bytes);
                let mut best = None;
                for (at, (gone, id)) in self.gone.iter().enumerate() {
                    if ending(gone) != ending(path) {
                        continue;
                    }
                    let lines = match self.lines.entry(*id) {
                        std::collections::hash_map::Entry::Occupied(known) => known.into_mut(),
                        std::collections::hash_map::Entry::Vacant(free) => {
                            free.insert(line_hashes(&repository.bytes(*id).map_err(broken).ok()?))
                        }
                    };
                    let shared = shared(&own, lines);
                    if shared * 100 >= own.len().max(lines.len()) * ALIKE
                        && best.is_none_or(|(most, _)| shared > most)
                    {
                        best = Some((shared, at));
                    }
                }
                best.map(|(_, at)| at)
            }
        };
        // Each is the source of one file.
        found.map(|at| self.gone.remove(at))
    }
}

/// Returns the hashes of the lines that say something, sorted.
fn line_hashes(bytes: &[u8]) -> Vec<u64> {
    let lines = bytes.split(|&byte| byte == b'\n').map(<[u8]>::trim_ascii).filter(|line| !line.is_empty());
    let mut out: Vec<u64> = lines
        .map(|line| {
            let mut hash = DefaultHasher::new();
            line.hash(&mut hash);
            hash.finish()
        })
        .collect();
    out.sort_unstable();
    out
}

/// Counts what two sorted lists share.
fn shared(one: &[u64], other: &[u64]) -> usize {
    let (mut at, mut count) = (0, 0);
    for line in one {
        while other.get(at).is_some_and(|found| found < line) {
            at += 1;
        }
        if other.get(at) == Some(line) {
            count += 1;
            at += 1;
        }
    }
    count
}
