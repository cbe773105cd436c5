//! A gate.

mod inner {
    /// Given out.
    pub struct Shown;
    pub struct Kept;
}
pub use inner::Shown;

pub(crate) fn in_crate() {}

pub trait Reader {
    type Item;
    const LIMIT: usize;
    fn read(&self) -> u8;
    /// Has a body.
    fn again(&self) -> u8 { 1 }
}

impl Reader for u8 {
    type Item = u8;
    const LIMIT: usize = 1;
    fn read(&self) -> u8 { 1 }
}

struct Private;

impl Private {
    pub fn reach(&self) {}
}

#[macro_export]
macro_rules! weigh { ($a:expr) => { $a }; }

macro_rules! local { () => {}; }

pub enum State { Open, Shut { since: u32 } }

pub fn generic<T: Clone, const N: usize>(mut a: T, (b, c): (u8, u8), _: u8) -> [u8; N] { [0; N] }

#[cfg(test)]
mod tests {
    #[test]
    fn opens() {}
}

pub use self::given::*;

mod given {
    pub struct Given;
}

mod kept {
    pub trait Kept {}
}

#[allow(missing_docs)]
pub struct Plain {
    pub load: u32,
}

#[allow(missing_docs, dead_code)]
pub mod plain {
    pub fn weigh() {}
}
