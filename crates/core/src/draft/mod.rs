//! Writes the comment that is not there yet, or what it still lacks. Edits only: nothing is written here.
//!
//! `choose` goes through the declarations; `fresh` makes a whole comment, `complete` adds to one that is
//! there; `skeleton` has the entries and the file's habits.

mod choose;
mod complete;
mod fresh;
mod skeleton;

pub use choose::{Draft, Drafted, Extent, Left, Only, draft, draft_file};
