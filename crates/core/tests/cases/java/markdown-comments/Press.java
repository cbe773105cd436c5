/// A press.
public class Press {
    /// Weighs a crate.
    ///
    /// ```
    /// @param not read in a fence
    /// ```
    ///
    /// @param lod what it weighs
    public void weigh(int load) {}
}
