pub fn made_by_macros() {}
