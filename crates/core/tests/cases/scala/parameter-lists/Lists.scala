package blending

/** Blends.
  *
  * @param a one
  * @param b two
  * @param nope no such
  * @tparam T kind
  * @return the blend
  */
def blend[T, U <: Seq[Map[String, T]]](a: T, b: Int = max(1, 2))(c: (Int, String) => Unit = (_, _) => ())(using ctx: Cellar, ord: Ordering[T]): T = a

class Book {
  /** Reads.
    * @param path where */
  def read(path: String)(implicit codec: Codec, ec: ExecutionContext): String = ""
  def none: Int = 1
  def unit() { println("x") }
  def byName(x: => Int, more: String*): Unit = ()
}
