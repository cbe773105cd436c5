//! Writes the comment that is not there yet, or what it still lacks. Edits only: nothing is written here.
//!
//! `choose` goes through the declarations; `fresh` makes a whole comment, `complete` adds to one that is
//! there; `inherit` takes over what a supertype says; `top` is what a file opens with; `skeleton` has the entries and the file's habits,
//! `wording` what the code itself tells in words.

mod choose;
mod complete;
mod fresh;
mod inherit;
mod skeleton;
mod top;
mod wording;

pub use choose::{Draft, Drafted, Extent, Left, Only, draft, draft_file};
pub use inherit::{Inherit, ReadAnother};
pub use top::draft_top;
