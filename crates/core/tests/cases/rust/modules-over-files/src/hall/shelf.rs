pub struct Shelf;

pub struct Label;
