/** The cellar. */
class Cellar {
  /** Fills a vat.
   *
   *  @param vat its number
   *  @return whether it was empty
   */
  def fill(vat: Int): Boolean = vat > 1

  /** Drains a vat.
   *
   *  @param vat its number
   */
  def drain(vat: Int, slowly: Boolean): Unit = ()

  def level(vat: Int): Double = vat
}
