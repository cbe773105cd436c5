//! The disk side: finds files and configuration, reads and writes text in its encoding, runs the core
//! over many files at once.

mod cache;
mod config;
mod decode;
mod run;
mod user;
mod walk;
mod write;

pub use cache::Cache;
pub use config::{ConfigFailure, Configured, Nested, Source as ConfigSource, configure, nearest_project};
pub use decode::{Decoded, Encoding, ReadFailure, decode, read};
pub use run::{Reviewed, Texts, Unread, Visit, Work, read_alone, review_files, visit_files};
pub use user::version_control_user;
pub use walk::{Found, Left, Selection, WalkFailure, find_files};
pub use write::{WriteFailure, write};
