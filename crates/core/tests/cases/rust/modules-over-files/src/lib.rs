//! What a cellar knows.

mod hall;
mod labels;
pub mod press;
mod scale;
#[cfg(test)]
mod samples;
mod vats;
#[doc(hidden)]
pub mod inner;
#[path = "oak.rs"]
mod wood;

pub use crate::hall::Shelf;
pub use wood::Stave;
pub use crate::labels::Label;
pub use other::hall::Scale;
pub use vats as tanks;

pub fn cellar() {}

#[allow(missing_docs)]
pub fn stairs() {}
