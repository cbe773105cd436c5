package blending

/** A cellar. */
object Cellar:
  /** Opens.
    * @param tank which
    */
  def open(tank: Int, how: String): Boolean =
    if tank > 0 then
      throw IllegalArgumentException("x")
    else
      true
  end open
  class Tank(n: Int):
    def fill(l: Int): Unit =
      println(l)
  private def inner(a: Int) = a
end Cellar

@main def run(args: String*): Unit = ()
