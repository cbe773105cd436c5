//! Reads the tags of crates at the gate.

use std::fmt;

/// A tag that could not be read.
#[derive(Debug)]
pub enum Unreadable {
    /// Nothing was near.
    Silent,
    /// Two tags answered at once.
    Collision,
}

impl fmt::Display for Unreadable {
    fn fmt(&self, out: &mut fmt::Formatter<'_>) -> fmt::Result {
        write!(out, "{self:?}")
    }
}

/// The tag of one crate.
#[derive(Clone, Debug)]
pub struct Tag {
    /// As printed on the crate.
    pub number: u32,
    grower: String,
}

impl Tag {
    /// Makes a tag.
    ///
    /// # Panics
    ///
    /// If the number is 0, which no crate has.
    pub fn new(number: u32, grower: &str) -> Self {
        assert!(number > 0);
        Self { number, grower: grower.to_owned() }
    }

    /// Returns who delivered the crate.
    pub fn grower(&self) -> &str {
        &self.grower
    }

    /// Parses what a reader sends.
    ///
    /// # Examples
    ///
    /// ```
    /// # use gate::Tag;
    /// let tag = Tag::parse("17 Ash Farm");
    /// ```
    pub fn parse(text: &str) -> Result<Self, Unreadable> {
        let (number, grower) = text.split_once(' ').ok_or(Unreadable::Silent)?;
        Ok(Self::new(number.parse().map_err(|_| Unreadable::Collision)?, grower))
    }

    /// Reads the oldest tags, which are wired.
    pub unsafe fn read_wire(address: *const u32) -> u32 {
        unsafe { *address }
    }

    /// Returns the last digit, which the lamp shows.
    pub fn lamp(&self) -> u32 {
        self.number.to_string().chars().last().unwrap().to_digit(10).expect("it is a digit")
    }

    pub fn is_ours(&self) -> bool {
        self.number < 10_000
    }
}
