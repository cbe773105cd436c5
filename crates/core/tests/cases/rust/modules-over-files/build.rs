pub fn built() {}

fn main() {}
