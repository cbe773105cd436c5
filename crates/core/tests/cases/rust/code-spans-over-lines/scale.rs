//! Scales.

/// Weighs twice. If we have `a := load; b := half a; c
/// := half b` then `c` is a quarter of the load, and `#[crate]
/// #[lid]` say so.
pub fn weigh() {}

/// Weighs once. The load is `a
///
/// and no more` than that.
pub fn weigh_once() {}

// If your scale has no cable, weigh here.
pub fn weigh_here() {}
