//! Repairs that need no thought. Text in, text out: nothing is written here.
//!
//! What is wrong, and the edits that mend it, are the rules' own; `repair` makes those edits rule by rule and
//! keeps only what leaves the code as it is and no rule with more to say than before. `wrap` breaks long lines.

mod repair;
mod wrap;

pub use repair::{Mended, Piece, Wish, mend, pieces};
