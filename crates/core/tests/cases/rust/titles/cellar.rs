//! Titles above descriptions.

/// # Warning
/// Lets the must out of the vat.
pub fn drain() {}

/// # Percentiles
///
/// The loads below which a share of all loads lies.
///
/// They are worked out anew each day.
pub struct Percentiles;

/// # Examples
///
/// ```
/// press();
/// ```
pub fn press() {}

/// Opens the cellar.
///
/// # Failure
///
/// Fails where there is none.
pub fn open() -> Result<(), Closed> {
    Err(Closed)
}

/// Closes the cellar.
///
/// # Error
///
/// Fails where there is none.
pub fn close() -> Result<(), Closed> {
    Err(Closed)
}
