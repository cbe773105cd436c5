//! Runs the rules on a file: surface, excuses, skips, levels and order are decided here and nowhere else.
//!
//! `reading` is a file with its comments read; `habits` is what they have in common; `asked` decides of which declarations a comment is asked;
//! `file` examines each comment, runs the rules and sorts what they found.

mod about;
mod accept;
mod asked;
mod file;
mod habits;
mod reading;
mod reconcile;
mod waivers;

pub(crate) use asked::owner_of;
pub use asked::{Standing, Standings};
pub(crate) use file::debt_of;
pub use file::{Examined, FileReview, Seen, examine, report_stale, review, signature_of, undocumented_debt};
pub use habits::{ColonHead, Custom, Habits};
pub use reading::FileReading;
