//! `vinequill accept`

use std::path::PathBuf;

use clap::Args;
use vinequill_project::Accepted;

use crate::exit::{Done, Exit, Failure};
use crate::options::common::Common;
use crate::session::Session;
use crate::terminal;

/// Options of `accept`.
#[derive(Debug, Args)]
pub(crate) struct Accept {
    /// Files and folders; the project when none are named
    paths: Vec<PathBuf>,
    /// Accept nothing new; drop what was accepted and is gone
    #[arg(long)]
    prune: bool,
    /// Write nothing; exit with 1 when there is something to write
    #[arg(long)]
    check: bool,
    #[command(flatten)]
    common: Common,
}

impl Accept {
    /// Writes today's findings down, so that a review tells only of new ones.
    pub(crate) fn run(&self) -> Done {
        let session = Session::open(&self.common, &self.paths)?;
        let (path, _) = session.accepted_file();
        let before = session.accepted()?;
        let visited = session.review_with_accepted(&self.common, false)?;
        let mut accepted = before.clone().unwrap_or_default();
        let added = if self.prune { 0 } else { accepted.accept(&visited.files) };
        if self.prune {
            accepted.prune(&visited.gone);
        }
        let changed = before.as_ref().map_or(!accepted.is_empty(), |before| *before != accepted);
        if changed && !self.check {
            accepted.write(&path).map_err(|error| Failure::Io(error.into()))?;
        }
        let shown = session.shown_from_here(&path);
        terminal::print(&self.told(&shown, (added, &accepted, &visited.gone), changed))?;
        let exit = session.complain(visited.unread.iter());
        Ok(exit.max(if changed && self.check { Exit::Found } else { Exit::Clean }))
    }

    /// Says what was done, or would be.
    fn told(&self, path: &str, (added, all, gone): (u64, &Accepted, &Accepted), changed: bool) -> String {
        let (total, gone) = (all.len(), gone.len());
        let mut out = match (changed, self.check, self.prune) {
            (false, ..) => {
                format!("{path}: nothing to {}, {total} accepted\n", if self.prune { "drop" } else { "add" })
            }
            (true, true, true) => format!("{path}: {gone} would be dropped; {total} would stay\n"),
            (true, true, false) => format!("{path}: {added} would be added; {total} with them\n"),
            (true, false, true) => format!("{path}: {gone} dropped, {total} accepted\n"),
            (true, false, false) => format!("{path}: {added} added, {total} accepted\n"),
        };
        if gone > 0 && !self.prune {
            out.push_str(&format!("{gone} of them are gone; `vinequill accept --prune` drops them\n"));
        }
        out
    }
}
