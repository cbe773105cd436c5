/// Reads.
pub trait Reader {
    /// What comes.
    type Item;
    /// Most.
    const MOST: usize = 3;
    /// Reads one.
    fn read(&mut self) -> Option<Self::Item>;
    fn skip(&self, n: usize) {}
}
pub struct Gate;
impl Reader for Gate {
    type Item = u32;
    fn read(&mut self) -> Option<u32> { None }
}
impl Gate {
    pub fn new() -> Self { Gate }
    pub(crate) fn near(&self) {}
    fn far(&self) {}
}
impl<T> From<T> for Gate where T: Into<u32> { fn from(_: T) -> Self { Gate } }
pub trait Hidden { fn a(&self); }
mod inner { pub fn deep() {} }
pub mod outer { pub(super) fn up() {} pub fn out() {} }
pub use inner::deep;
