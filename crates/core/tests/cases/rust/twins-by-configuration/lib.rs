//! Scales.

#[cfg(unix)]
pub fn weigh() -> bool { true }

#[cfg(windows)]
pub fn weigh() -> bool { false }

cfg_if::cfg_if! {
    if #[cfg(a)] {
        pub struct Scale { pub load: u32 }
    } else if #[cfg(b)] {
        pub struct Scale { pub load: u16 }
    } else {
        pub struct Scale { pub load: u8 }
    }
}

/// A hall.
pub struct Hall;

impl Hall {
    #[cfg(unix)]
    pub fn open(&self) {}

    /// Opens its doors.
    #[cfg(windows)]
    pub fn open(&self) {}
}

/// A press for loads of one size.
pub struct Press<T>(T);

impl Press<u8> {
    pub fn press() {}
}

impl Press<u16> {
    pub fn press() {}
}

/// Tags of crates.
pub mod crates {
    pub fn tag() {}
}

/// Tags of halls.
pub mod halls {
    pub fn tag() {}
}

/// What cannot fail needs no section that says when it does.
pub fn settle() -> Result<(), std::convert::Infallible> {
    Ok(())
}
