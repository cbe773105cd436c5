/** A barn. Big.
 *  @tparam T what lies in it
 *  @param width how wide
 *  @param ord the order
 */
class Barn[T](val width: Int)(implicit ord: Ordering[T]) {
  /** Weighs. Slowly.
   *  @tparam K the key
   *  @param crates what
   *  @param by how
   *  @return their mass
   *  @throws IllegalArgumentException if there is none
   */
  def weigh[K <: AnyRef](crates: T*)(by: T => Int): Int = {
    if (crates.isEmpty) throw new IllegalArgumentException("none")
    crates.map(by).sum
  }
  /** Adds. Both.
   *  @param other another
   *  @return both
   */
  def +(other: => Barn[T]): Barn[T] = this
}
