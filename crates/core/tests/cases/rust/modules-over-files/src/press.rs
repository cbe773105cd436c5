mod parts;
mod sealed;

pub fn press() {}
