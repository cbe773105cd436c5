use std::io;

/// An error.
pub struct Fault;

type Outcome<T> = Result<T, Fault>;

/// Reads a tag.
pub fn read(path: &str) -> io::Result<u8> { Ok(1) }

/// Reads a tag.
///
/// # Errors
///
/// When the reader is off.
pub fn try_read() -> Result<u8, Fault> { Ok(1) }

/// Counts through an alias.
pub fn counted() -> Outcome<u8> { Ok(1) }

/// Writes memory.
pub unsafe fn write(at: *mut u8) {}

/// Weighs.
pub fn weigh(load: Option<u8>) -> u8 {
    assert!(load.is_some());
    load.unwrap()
}

/// Tares.
///
/// # Safety
///
/// Needs nothing.
///
/// # Panics
///
/// Never.
pub fn tare() -> u8 { 1 }

/// Given back later.
pub fn later() -> impl Fn() -> u8 { || panic!("later") }

/// Shows an example.
///
/// # Examples
///
/// ```
/// # let hidden = 1;
/// # Errors
/// ```
pub fn example() {}
