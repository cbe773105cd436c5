/// Makes a tag.
#[macro_export]
macro_rules! tag { ($a:expr) => { $a }; }
macro_rules! private { () => {}; }
/// Holds.
pub struct Hold<'a, T: ?Sized + 'a, const N: usize>(pub &'a T, [u8; N]);
/// Maps.
pub fn map<T, F>(list: impl Iterator<Item = (T, u32)>, f: F) -> impl Iterator<Item = T>
where
    F: Fn(T) -> Vec<Box<dyn Fn(&str) -> T>>,
{
    list.map(|(a, _)| a)
}
/// Async.
pub async fn later((a, b): (u32, u32), Point { x, .. }: Point, _: u8, mut c: u32) {}
pub extern "C" fn from_c(n: i32) {}
extern "C" {
    /// Of C.
    pub fn of_c(n: i32, ...) -> i32;
}
/// One.
pub static ONE: u32 = 1;
pub const TWO: fn(u32) -> u32 = |a| a;
/// Kinds.
pub enum Kind {
    /// First.
    First(u32),
    Second { a: u32 },
}
pub union Bits { a: u32, b: f32 }
