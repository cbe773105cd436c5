//! What a run is about where it is about a change.

use clap::Args;
use vinequill_project::Since;

/// Only what a change touches.
#[derive(Clone, Debug, Default, Args)]
#[command(next_help_heading = "What is told of")]
pub(crate) struct ChangeOptions {
    /// Only declarations that differ from where REV and the current revision part
    #[arg(long, value_name = "REV", conflicts_with_all = ["staged", "stdin_path"])]
    pub(crate) since: Option<String>,
    /// Only declarations that differ in what is staged
    #[arg(long, conflicts_with = "stdin_path")]
    pub(crate) staged: bool,
}

impl ChangeOptions {
    /// Returns what the files are compared with, where a change is asked for.
    pub(crate) fn compared(&self) -> Option<Since> {
        match (&self.since, self.staged) {
            (Some(rev), _) => Some(Since::Revision(rev.clone())),
            (None, true) => Some(Since::Staged),
            (None, false) => None,
        }
    }
}
