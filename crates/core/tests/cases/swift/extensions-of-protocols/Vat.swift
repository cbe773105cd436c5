extension Pressable {
    public func rest() {}

    public func fill() {}
}

/// A vat.
public class Vat {
    public init() {}
}

extension Vat {
    public func rest() {}
}
