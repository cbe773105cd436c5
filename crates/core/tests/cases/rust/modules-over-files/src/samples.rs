pub fn sample() {}
