pub fn barrel() {}

pub struct Stave;
