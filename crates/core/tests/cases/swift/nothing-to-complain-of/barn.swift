/// A barn. Big.
public struct Barn<T: Hashable> {
  /// Makes one. Empty.
  /// - Parameters:
  ///   - width: how wide
  ///   - name: its name
  /// - Throws: if it is negative
  public init(_ width: Int, named name: String? = nil) throws {
    if width < 0 { throw Failure.negative }
  }
  /// Weighs. Slowly.
  /// - Parameter crates: what
  /// - Parameter by: how
  /// - Returns: their mass
  @discardableResult
  public func weigh(_ crates: T..., by: @escaping (T) throws -> Int) rethrows -> Int { try by(crates[0]) }
  /// The crate at. Surely.
  /// - Parameter at: where
  /// - Returns: it
  public subscript(at: Int) -> T? { nil }
  /// Adds. Both.
  /// - Parameters:
  ///   - lhs: one
  ///   - rhs: another
  /// - Returns: both
  public static func + (lhs: Self, rhs: inout Self) -> Self { lhs }
}
/// Weighs a crate. Slowly.
/// - Parameters:
///   - in: what it holds
///   - `default`: what else
///   - größe: how large
/// - Returns: its mass
public func weigh(`in`: Int, `default`: Int, of größe: Int) -> Int { return 1 }
