public protocol Readable {
  associatedtype Item
  /// Reads.
  func read(at: Int) -> Item
  var size: Int { get }
}
extension Gate: Readable {
  public func read(at: Int) -> Int { 1 }
  func inner(a: Int) {}
}
public extension Gate {
  func wide(a: Int) {}
  private func narrow(a: Int) {}
}
internal struct Near { public func x() {} }
fileprivate func here(a: Int) {}
public struct Tag<T: Sequence, U> where T.Element == [U] { public let text: String; let hidden: Int }
public enum State { case open, shut(since: Int)
  /// Third.
  indirect case third(State) }
public actor Lock { public func hold() {} }
@available(*, deprecated, message: "old") public func old(a: Int) {}
public typealias Handler = (Int) -> Void
@_spi(Presses) public func among(a: Int) {}
