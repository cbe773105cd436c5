mod pans;

pub use pans::Pan;

pub fn weigh() {}

/// Weighs anew.
///
/// # Panics
pub fn reweigh() {}
