/// A crane of the harbour.
public struct Crane {
    /// Lifts a crate.
    ///
    /// - Parameters:
    ///   - by: how far, in m
    ///   - plcae: where to
    ///   - of: what it hangs on
    /// - Returns: how high it is, in m
    public func lift(by height: Int, to place: String, `of` hook: Int) -> Int { height }

    /// Lowers a crate.
    ///
    /// - Parameter to: how high it shall be, in m
    public func lower(_ to: Int) {}

    /// Swings from one side to the other.
    ///
    /// - Parameters:
    ///   - from: where it begins
    ///   - to: where it ends
    public func swing(from to: Int, to from: Int) {}
}
