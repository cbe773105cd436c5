/// Reads.
/// - Throws: when shut
public func read() throws -> Int { throw GateError.shut }
/// Opens. And more.
public func open(_ n: Int) async throws(GateError) { if n > 1 { throw GateError.shut } }
/// Maps.
public func map(_ each: (Int) throws -> Int) rethrows -> [Int] { [try each(1)] }
/// Safe.
/// - Throws: never
public func safe() { do { try read() } catch { } }
/// Waits.
public func wait() async -> Void {}
public func never() -> Never { fatalError() }
