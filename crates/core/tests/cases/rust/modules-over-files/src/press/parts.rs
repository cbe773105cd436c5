pub fn screw() {}

impl crate::Label {
    pub fn peel(&self) {}
}
