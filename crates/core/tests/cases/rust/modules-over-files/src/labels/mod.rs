mod sealed;

pub use sealed::*;

pub struct Label;

impl Label {
    pub fn print(&self) {}
}

pub struct Glue;

impl Glue {
    pub fn stick(&self) {}
}

#[macro_export]
macro_rules! label {
    () => {};
}
