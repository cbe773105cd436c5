/// A crate. See ``Crate/lift(by:)``, ``Crate/load``, ``Crate/weigh()`` and ``Kind/small``.
///
/// What ``Crate/lfit(by:)`` once did is done by ``Kind/smal``.
public struct Crate {
    /// In kg.
    public var load: Int
    /// Lifts it off the quay.
    public func lift(by height: Int) {}
}

/// What crates there are.
public enum Kind {
    /// Goes on a cart.
    case small
}

extension Crate {
    /// Weighs it on the bridge.
    public func weigh() {}
}
