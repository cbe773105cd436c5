pub fn weigh() {}

/// Weighs anew.
///
/// # Panics
pub fn reweigh() {}
