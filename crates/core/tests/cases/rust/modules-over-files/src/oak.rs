pub fn barrel() {}
