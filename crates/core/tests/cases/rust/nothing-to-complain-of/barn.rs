//! Barns.
/// A barn. Big.
pub struct Barn<'a, T: ?Sized + 'a>(pub &'a T);
impl<'a, T: ?Sized> Barn<'a, T> {
    /// Weighs. Slowly.
    ///
    /// # Errors
    /// If there is none.
    ///
    /// # Panics
    /// If it is negative.
    pub async fn weigh<F>(&self, by: F) -> Result<i32, String> where F: Fn(&T) -> i32 {
        let mass = by(self.0);
        assert!(mass >= 0, "negative");
        if mass == 0 { return Err("none".into()); }
        Ok(mass)
    }
    /// Reads. Raw.
    ///
    /// # Safety
    /// It must be there.
    pub const unsafe extern "C" fn raw(at: *const u8) -> u8 { *at }
}

impl Sphere {
    /// ## Parameters
    /// - radius: The radius of the sphere, typically in meters.
    pub const fn new(radius: f64) -> Self {
        Self { radius }
    }
}

/// Counts crates.
#[must_use] pub fn count(crates: u32) -> u32 {
    #[inline] fn one(_: u32) -> u32 {
        1
    }
    one(crates)
}
