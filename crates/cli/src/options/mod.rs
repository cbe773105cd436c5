//! Options that several commands share.

pub(crate) mod change;
pub(crate) mod common;
pub(crate) mod output;
