//! Presses crates.

/// Presses a crate.
///
/// # Panics
/// Where the crate is empty.
pub fn press(load: u32) {
    assert!(load > 0);
    let cellar = load;
    #[cfg(test)]
    {
        let vat = cellar;
        log!(vat);
    }
}
#[cfg(unix)]
pub fn weigh() {}

/// Tells what is pressed.
pub fn tell() {}

#[cfg(test)]
/// Only tests tare.
pub fn tare() {}

#[cfg(test)]
// The scale.
pub fn scale() {}
