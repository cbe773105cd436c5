//! Gates.

/// Opens the gate.
#[doc(alias = "unlock")]
pub fn open() {}

#[doc(alias = "lock")]
pub fn close() {}

#[doc(hidden)]
pub fn jam() {}

#[doc = "Tells whether the gate is hidden."]
#[doc(cfg(feature = "hidden-gates"), inline)]
pub fn is_hidden() -> bool {
    false
}
