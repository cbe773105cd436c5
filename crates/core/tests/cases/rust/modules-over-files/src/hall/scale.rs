use super::shelf::Label;

pub struct Scale;

impl Label {
    pub fn tear(&self) {}
}
