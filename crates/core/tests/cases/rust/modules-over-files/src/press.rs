mod parts;

pub fn press() {}
