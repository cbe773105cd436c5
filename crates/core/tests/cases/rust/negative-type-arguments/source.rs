type Degrees = Range<-30, 60>;

/// A tag with its temperature.
pub struct Tag {
    /// In degrees.
    pub degrees: OptionalRange<-30, 60>,
}

/// Reads the temperature of a tag.
pub fn read(tag: &Tag) -> Range<-30, 60> {
    tag.degrees.get()
}
