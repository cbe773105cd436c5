package yard

package gates:
  /** A gate.
   *
   *  @param width how wide it is
   */
  class Gate(width: Int):
    /** Opens it. */
    def open(turns: Int): Int = width * turns

  package locks:
    def loose(turns: Int): Int = turns
