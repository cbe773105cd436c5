//! Scales.

/// Loads at once.
pub const MOST: usize = { 3 };

const _: () = {
    use std::fmt;

    /// A scale with a cable.
    pub struct Wired {
        port: u8,
    }

    impl fmt::Display for super::Load {
        fn fmt(&self, out: &mut fmt::Formatter<'_>) -> fmt::Result {
            write!(out, "{} kg", self.0)
        }
    }

    impl super::Load {
        /// Weighs a crate. The scale may stand askew.
        ///
        /// # Arguments
        ///
        /// * `crate_id` - what stands on it
        pub fn weigh(id: u32) -> u32 {
            id
        }
    }
};
