//! Crates of the harbour.

/// A crate. See [`Crate::lift`], [Crate::load], [`Crate::clone`], [`Crate::LIMIT`] and [`Kind::Small`].
///
/// What [`Crate::lfit()`] once did, [Crate::laod] of a [`Kind::Smal`] now does, and [`Crate::weigh`] is made by a macro.
#[derive(Clone)]
pub struct Crate {
    /// In kg.
    pub load: u32,
}

impl Crate {
    /// What a crane bears, in kg.
    pub const LIMIT: u32 = 900;

    /// Lifts it off the quay.
    pub fn lift(&self) {}

    weighing!();
}

/// What crates there are.
pub enum Kind {
    /// Goes on a cart.
    Small,
}

/// What [`Crate::unlift`][0] and [`Crate::unload`](cart.html) do is told there, and of [`Crate::lower`] below.
///
/// [0]: crate::cart::Cart::unlift
/// [`Crate::lower`]: crate::cart::Cart::lower
pub fn tell() {}
