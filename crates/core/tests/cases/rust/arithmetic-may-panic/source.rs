/// Adds a load.
///
/// # Panics
///
/// On overflow.
pub fn add(total: u32, load: u32) -> u32 {
    total + load
}

/// Returns a crate.
///
/// # Panics
///
/// When there is none.
pub fn crate_at(crates: &[u32], at: usize) -> u32 {
    crates[at]
}

/// Returns the load.
///
/// # Panics
///
/// Never.
pub fn same(load: u32) -> u32 {
    load
}
