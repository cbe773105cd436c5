pub struct Pan;
