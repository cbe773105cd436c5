pub struct Seal;
