pub fn made() {}
