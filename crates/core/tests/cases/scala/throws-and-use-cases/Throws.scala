package blending

/** Reads.
  *
  * @throws java.io.IOException when gone
  * @throws NopeException never
  */
@throws[java.io.IOException]
@throws(classOf[ShutException])
def read(path: String): String = {
  require(path.nonEmpty)
  if (path == "x") throw new ShutException(path)
  try risky() catch { case e: IOException => throw e; case _ => "" }
}
class ShutException(why: String) extends RuntimeException(why)
/** Maps.
  * @usecase def map[B](f: A => B): List[B]
  * @param f each
  */
def map[B, That](f: Int => B)(implicit bf: Build[B, That]): That = ???
/** Runs. And more. */
@deprecated("old", "1") def old(a: Int): Unit = ()
/** Nothing. */
def fail(): Nothing = sys.error("x")
