/// A tag.
public struct Tag {
    public func read(from reader: Int, _ count: Int = 1) throws -> String { "" }

    /**
     Writes it.

     - Parameter text: what
     */
    public func write(text: String, to place: Int) throws {}
}

public extension Vat {
    convenience init(of tags: [Int]) { self.init() }
}
