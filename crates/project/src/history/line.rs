//! The first-parent line of the current revision, and which of its commits are looked at.

use super::{CommitId, HistoryFailure, Repository, broken};

/// A commit of the line.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Step {
    /// The commit.
    pub commit: CommitId,
    /// When it was committed: seconds since 1970 in universal time.
    pub seconds: i64,
}

/// Where the line ends.
#[derive(Clone, Debug, PartialEq, Eq)]
pub enum From {
    /// At the first commit there is.
    Start,
    /// At a commit, that one included; at the commit before which the line leaves its history.
    Commit(CommitId),
    /// At the first commit at or after a time, in seconds since 1970.
    Time(i64),
}

impl Repository {
    /// Returns the commits that first parents lead to from the current one, newest first. A shallow history ends where
    /// it ends.
    ///
    /// # Errors
    /// [`HistoryFailure`] when there is no commit, or one cannot be read.
    pub fn line(&self, from: &From) -> Result<Vec<Step>, HistoryFailure> {
        let mut out = Vec::new();
        let mut next = Some(self.commit("HEAD")?);
        while let Some(id) = next {
            let Ok(commit) = self.inner.find_commit(id) else { break };
            let seconds = commit.time().map_err(broken)?.seconds;
            if matches!(from, From::Time(least) if seconds < *least) {
                break;
            }
            out.push(Step { commit: id, seconds });
            if matches!(from, From::Commit(last) if *last == id) {
                break;
            }
            next = commit.parent_ids().next().map(gix::Id::detach);
        }
        Ok(out)
    }

    /// Returns the first characters of a commit's id, as many as tell it apart.
    #[must_use]
    pub fn short(&self, commit: CommitId) -> String {
        let short = self.inner.find_commit(commit).ok().and_then(|commit| commit.short_id().ok());
        short.map_or_else(|| commit.to_string(), |short| short.to_string())
    }
}
