/// Weighs a crate of cider.
///
/// ```
/// # use press::weigh;
/// let load = weigh(3)?;
/// assert_eq!(load, 3);
/// ```
///
/// ```ignore
/// let load = weigh(
/// ```
///
/// ```rust
/// let load = weigh(3;
/// ```
///
/// ```text
/// weigh( (
/// ```
pub fn weigh(load: u32) -> Option<u32> {
    Some(load)
}
