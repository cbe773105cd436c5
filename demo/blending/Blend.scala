package ridge.sallow.blending

/** A wine that a blend is made of.
 *
 *  @param name as on the cask
 *  @param litres how much there is
 */
case class Wine(name: String, litres: Double)

/** A blend in the making.
 *
 *  @constructor begins with one wine
 *  @tparam N counts, as some cellars do in whole litres
 *  @param first what it begins with
 *  @param taster who is asked
 */
class Blend[N](first: Wine, cellar: String)(implicit number: Numeric[N]) {

  private var parts = List(first)

  /** Adds a wine.
   *
   *  @param wine which one
   *  @param share of the whole, in percent
   *  @return the blend with it
   *  @throws IllegalArgumentException if the share is not positive
   */
  def add(wine: Wine, share: Double): Blend[N] = {
    if (share <= 0) throw new IllegalArgumentException("share")
    parts = wine :: parts
    this
  }

  /** Tastes. The [[taster]] decides.
   *
   *  @param times how often
   */
  def taste(times: Int, taster: String): Boolean = {
    if (parts.isEmpty) throw new IllegalStateException("nothing to taste")
    times > 1 && taster.nonEmpty
  }

  /** How much there is, in litres. */
  def litres: Double = parts.map(_.litres).sum

  def names = parts.map(_.name)
}

object Blend {
  /** Begins a blend. */
  def of(wine: Wine): Blend[Int] = new Blend[Int](wine, "east")
}
