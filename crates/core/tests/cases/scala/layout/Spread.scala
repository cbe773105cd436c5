package blending

/** Wägt.
  *
  * @param größe in kg
  */
@SuppressWarnings(Array("a, (b"))
def wäge[T <: Comparable[_ >: Map[String, List[T]]]](
	größe: Double, // in kg, (ja)
	/* zwei */ b: (Int, String) => Map[Int, T => Unit] = { (_, s) => Map(1 -> (_ => ())) },
	c: String = s"a, ${b(1, "c")}"
): Option[
	T
] = None
val x, y = 1
val (p, q) = (1, 2)
/** After. */
def `odd name`(a: Int): Unit = ()
def +(other: Int): Int = 1
