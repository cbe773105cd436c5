#![doc = "Reads tags at the gate."]
//! And opens it.

#[doc = "A tag."]
#[derive(Debug)]
pub struct Tag {
    #[doc = " Its number."]
    pub number: u32,
    pub text: String,
}

/// Opens.
#[must_use]
#[doc(alias = "unlock")]
#[cfg(feature = "gate")]
pub fn open(tag: &Tag) -> bool { true }

#[doc(hidden)]
pub fn hidden() -> Result<(), ()> { Ok(()) }

#[doc = include_str!("x.md")]
pub fn included() {}

#[cfg_attr(feature = "a", doc = "Shuts.")]
pub fn shut() {}
