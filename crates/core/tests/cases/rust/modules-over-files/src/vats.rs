pub fn fill() {}
