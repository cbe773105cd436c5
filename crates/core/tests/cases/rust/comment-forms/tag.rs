//! Reads crate tags.

/// A tag.
#[derive(Clone)]
pub struct Tag {
    /// Its number.
    pub number: u32,
    pub crate_name: String,
    secret: u8,
}

/** Opens the gate. */
pub fn open() {}

#[doc = "Closes the gate."]
pub fn close() {}

#[doc(hidden)]
pub fn internal() {}

#[inline]
/// Between attributes.
#[must_use]
pub fn between() -> u8 { 1 }

/// First part.
#[inline]
/// Second part.
pub fn joined() {}

//// No documentation.
pub fn bare() {}
