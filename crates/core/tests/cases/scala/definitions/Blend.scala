package blending

/** A blend.
 *
 *  @constructor makes one
 *  @tparam T what is blended
 *  @param parts how many
 *  @param gone nothing
 */
case class Blend[+T <: Any](val parts: Int, private var name: String = "x")(implicit order: Int) extends Base(1) with Mixed {
  /** Adds. See [[amount]].
   *
   *  @param wine which
   *  @throws IllegalArgumentException if there is none
   */
  def add[U](wine: String, amount: => Int, more: Int*)(implicit ord: Ordering[U]): U = {
    if (wine == null) throw new IllegalArgumentException("none")
    try pour() catch { case e: IllegalStateException => throw e; case _: Exception => null }
  }
  def this(parts: Int) = this(parts, "")(1)
  override def toString = name
  private def hidden(x: Int) { println(x) }
  protected[blending] val sum: Int = 1
  def twice(a: Int) = a
  type Part = Int
}

object Blend

trait Mixed { def mix(times: Int): Int }

object Cellar { def main(args: Array[String]): Unit = () }
