/// Reads.
///
/// More text.
pub fn read(path: &str) -> Result<String, Error> { std::fs::read_to_string(path).map_err(Error::from) }

/// Reads.
///
/// # Errors
///
/// When it is not there.
pub fn read_well(path: &str) -> io::Result<String> { Err(Error) }

/// Opens.
///
/// # Errors
/// None.
pub fn open(tag: u32) -> bool { true }

/// Takes the first.
///
/// More.
pub fn first(list: &[u32]) -> u32 { if list.is_empty() { panic!("none") } list[0] }

/// Takes it raw.
///
/// # Safety
/// The pointer is good.
pub unsafe fn raw(p: *const u8) -> u8 { unsafe { *p } }

/// Later.
pub unsafe fn bare(p: *const u8) {}

/// Alias.
pub type Done<T> = std::result::Result<T, Error>;

/// Done.
///
/// Well.
pub fn done() -> Done<()> { Ok(()) }
