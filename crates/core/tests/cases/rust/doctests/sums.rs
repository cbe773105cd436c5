/// Adds.
///
/// # Examples
///
/// ```
/// # use press::add;
/// # Errors
/// assert_eq!(add(1, 2), 3);
/// ```
///
/// ```ignore
/// # Panics
/// ```
pub fn add(a: u32, b: u32) -> u32 { a + b }

/// Text.
///
/// ```text
/// # Safety
/// ```
pub fn text() {}

#[cfg(test)]
mod tests {
    /// Not asked.
    pub fn helper() {}
    #[test]
    fn adds() {}
}
