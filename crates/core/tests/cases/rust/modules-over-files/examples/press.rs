pub struct Shown;

fn main() {}
