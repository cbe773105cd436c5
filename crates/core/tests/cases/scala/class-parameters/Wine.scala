package blending

/** A wine.
  *
  * @param name shown
  * @param nope no such
  * @tparam T kind
  * @constructor makes one
  */
class Wine[T, +U](val name: String, private val year: Int = 2020)(implicit ord: Ordering[T]) {
  /** From text. */
  def this(text: String) = this(text, 1)
}
/** A case.
  * @param a one */
case class Pair2(a: Int, b: String*)
/** All. */
object Wine { def apply(x: Int): Wine[Int, Int] = ??? }
case object Empty
trait Shown(name: String) { def show: String; private[blending] def near(a: Int): Unit }
sealed abstract class Base protected (x: Int)
type Handler[T] = (T, Int) => Unit
