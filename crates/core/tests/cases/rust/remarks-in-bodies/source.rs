/// Reads the tag of a crate.
pub fn read(frequency: u32) {
    // TODO: try the spare antenna
    listen(frequency);
    // retry(frequency, 3);
    stop();
}
