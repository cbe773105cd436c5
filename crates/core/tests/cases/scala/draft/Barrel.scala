class Barrel[T](litres: Int) {
  def draw[U](amount: Int, into: U = null)(implicit o: Ordering[U]): Int = {
    throw new IllegalStateException("empty")
  }
}
