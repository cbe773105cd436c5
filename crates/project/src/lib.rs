//! The disk side: finds files and configuration, reads and writes text in its encoding, runs the core
//! over many files at once.

mod accepted;
mod cache;
mod config;
mod decode;
mod generated;
mod held;
mod history;
mod run;
mod stale;
mod touched;
mod trend;
mod user;
mod walk;
mod write;

pub use accepted::{ACCEPTED_FILE, Accepted, AcceptedFailure, Fingerprint};
pub use cache::Cache;
pub use config::{ConfigFailure, Configured, Nested, Source as ConfigSource, configure, nearest_project};
pub use decode::{Decoded, Encoding, ReadFailure, decode, read};
pub use held::{Held, Room};
pub use history::{
    BlobId, Change, CommitId, From, HistoryFailure, InRevision, Repository, Since, Snapshot, Step, Version,
};
pub use run::{Reviewed, Texts, Unread, Visit, Work, read_alone, review_files, visit_files};
pub use stale::stale_in_history;
pub use touched::Touched;
pub use trend::{Point, trend};
pub use user::version_control_user;
pub use walk::{Found, Left, Selection, WalkFailure, find_files};
pub use write::{WriteFailure, write};
