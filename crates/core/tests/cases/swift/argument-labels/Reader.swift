/// Reads a tag.
/// - Parameters:
///   - tag: which
///   - at: no such, that is its label
/// - Returns: the text
public func read(_ tag: Int, at place: String, with options: [String: (Int) -> Void] = [:], more: Int...) -> String { "" }
/// Opens.
/// - Parameter gate: which
public func open(gate: inout Gate, _: Int) {}
/// Shuts. It clicks.
@discardableResult
public func shut(_ gate: Gate) -> Bool { true }
