/// Wägt.
/// - Parameter größe: in kg
@available(iOS 13, *)
public
func wäge<T: Comparable, U>(
	größe: T, // in kg, (ja)
	/* zwei */ b: @escaping (Int, String) -> [Int: (T) -> U] = { _, _ in [:] },
	c: String = "a, \(f(1, "x"))"
) -> T where U: Equatable
{ größe }
/**
 Block.
 - Parameter a: one
 */
public func block(a: Int, b: Int) {}
#if DEBUG
/// Debug.
public func debug(a: Int) {}
#endif
/// Broken.
public func broken(a: Int { }
/// After.
public func after(a: Int) {}
