package blending

/** Order. */
given ordering: Ordering[Wine] with
  def compare(a: Wine, b: Wine): Int = 0
given Codec = Codec.default
extension (w: Wine)
  /** Ages.
    * @param by years
    */
  def age(by: Int): Wine = w
  def young: Boolean = true
extension [T](list: List[T]) def second(n: Int): T = list(1)
/** Colours. */
enum Colour(val rgb: Int):
  /** Red. */
  case Red extends Colour(1)
  case White, Rose
  def mix(other: Colour): Colour = this
implicit class Rich(x: Int) { def twice: Int = x * 2 }
opaque type Tag = String
inline def fast(inline x: Int): Int = x
export inner.*
