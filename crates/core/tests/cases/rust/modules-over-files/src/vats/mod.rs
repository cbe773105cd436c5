pub fn fill() {}

#[cfg(unix)]
#[path = "unix.rs"]
mod made;
#[cfg(windows)]
#[path = "windows/mod.rs"]
mod made;
#[cfg(not(any(unix, windows)))]
mod made;
