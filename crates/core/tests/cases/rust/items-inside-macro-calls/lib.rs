//! Scales of the hall.

/// A scale.
pub struct Scale;

cfg_hall! {
    /// A crane.
    pub struct Crane {
        /// How far it reaches, in metres.
        pub span: f64,
        pub load: f64,
    }

    pub fn heave(crane: &Crane) -> bool {
        crane.load > 0.0
    }
}

impl Scale {
    /// Weighs.
    pub fn weigh(&self) -> f64 {
        0.0
    }

    cfg_hall! {
        #![feature = "hall"]
        /// Tares the scale.
        pub fn tare(&mut self) -> Result<(), Full> {
            Ok(())
        }
    }
}

/// Chooses what is there first.
pub fn choose() {
    select! {
        load = weigh() => tare(load),
    }
}

cfg_if::cfg_if! {
    if #[cfg(feature = "hall")] {
        /// Opens the doors of the hall.
        pub fn open_doors(width: f64) -> bool {
            width > 0.0
        }
    } else {
        pub fn open_doors(_width: f64) -> bool {
            false
        }
    }
}
