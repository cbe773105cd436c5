//! Changes the notation of docstrings: summary, text, entries, types and code stay, their form changes.
//!
//! `parts` takes a comment apart into what every notation can say; `write` puts that into another; `change` does so
//! for a file, reads the result back and leaves alone what would not say the same.

mod change;
mod parts;
mod write;

pub use change::{Changed, Left, Recast, TARGETS, recast};
