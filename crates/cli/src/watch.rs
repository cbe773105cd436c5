//! Waits until something that a review depends on changes.

use std::path::{Path, PathBuf};
use std::sync::mpsc::{Receiver, RecvTimeoutError, channel};
use std::time::Duration;

use notify::event::{AccessKind, AccessMode};
use notify::{Event, EventKind, RecommendedWatcher, RecursiveMode, Watcher};

use crate::exit::Failure;
use crate::session::Session;

/// Changes that come as close together as this are one: editors write a file in several steps.
const PAUSE: Duration = Duration::from_millis(40);

/// Watches the files of a project.
pub(crate) struct Watch {
    /// Told of every change; ends with the watch.
    changes: Receiver<notify::Result<Event>>,
    /// Kept, since the watch ends with it.
    _watcher: RecommendedWatcher,
    accepted: PathBuf,
    /// Endings that some language reads, in lower case.
    endings: Vec<String>,
}

impl Watch {
    /// Begins to watch the project of a session.
    pub(crate) fn of(session: &Session) -> Result<Self, Failure> {
        let (tell, changes) = channel();
        let failed =
            |error: notify::Error| Failure::Io(anyhow::anyhow!("the project cannot be watched: {error}"));
        let mut watcher = notify::recommended_watcher(tell).map_err(failed)?;
        watcher.watch(&session.project.root, RecursiveMode::Recursive).map_err(failed)?;
        let languages = session.project.settings.languages();
        let endings = languages.iter().flat_map(|language| language.endings.iter());
        Ok(Self {
            changes,
            _watcher: watcher,
            accepted: session.accepted_file().0,
            endings: endings.map(|ending| (*ending).to_owned()).collect(),
        })
    }

    /// Waits for a change that matters, and until no more follow at once. Returns false when nothing can come any
    /// more.
    pub(crate) fn wait(&self) -> bool {
        loop {
            match self.changes.recv() {
                Ok(Ok(event)) if self.matters(&event) => break,
                // What was missed may have mattered.
                Ok(Err(_)) => break,
                Ok(Ok(_)) => {}
                Err(_) => return false,
            }
        }
        loop {
            match self.changes.recv_timeout(PAUSE) {
                Ok(_) => {}
                Err(RecvTimeoutError::Timeout) => return true,
                Err(RecvTimeoutError::Disconnected) => return false,
            }
        }
    }

    fn matters(&self, event: &Event) -> bool {
        let written = match event.kind {
            EventKind::Access(kind) => kind == AccessKind::Close(AccessMode::Write),
            EventKind::Create(_)
            | EventKind::Modify(_)
            | EventKind::Remove(_)
            | EventKind::Any
            | EventKind::Other => true,
        };
        written && (event.need_rescan() || event.paths.iter().any(|path| self.is_read(path)))
    }

    fn is_read(&self, path: &Path) -> bool {
        let name = path.file_name().unwrap_or_default().to_string_lossy().to_lowercase();
        let hidden = path.components().any(|part| part.as_os_str() == ".git");
        !hidden
            && (name == "vinequill.toml"
                || path == self.accepted
                || self.endings.iter().any(|ending| name.ends_with(ending.as_str()))
                // A folder that comes or goes takes its files along.
                || !name.contains('.'))
    }
}
