pub fn label() {}
