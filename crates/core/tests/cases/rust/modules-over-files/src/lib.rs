//! What a cellar knows.

mod labels;
pub mod press;
mod scale;
#[cfg(test)]
mod samples;
mod vats;

pub use crate::labels::Label;
pub use vats as tanks;

pub fn cellar() {}
