//! A scale.

/// A scale.
pub struct Scale;

impl Scale {
    pub fn weigh(&self, crates: usize) -> Result<u32, String> {
        assert!(crates > 0);
        Ok(1)
    }

    /// Tares it.
    pub unsafe fn tare(&mut self) {}
}
