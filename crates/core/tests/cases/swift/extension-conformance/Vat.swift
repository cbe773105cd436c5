/// What can be emptied.
public protocol Emptied {
    /// Empties it.
    func empty()
}

/// Holds cider.
public struct Vat {
    public func fill() {}
}
