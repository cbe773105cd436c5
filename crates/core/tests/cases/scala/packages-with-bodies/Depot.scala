package depot

/** What all scales have in common. */
package object scales {
  /** Tares a scale.
   *
   *  @param unit what to count in
   */
  def tare(unit: String, load: Int): Int = load
}

/** No class, and no package, has this comment. */
package scales {
  /** A scale.
   *
   *  @param load what lies on it
   *  @param tray what nothing takes
   */
  private[depot] class Scale(load: Int) {
    /** Weighs what lies on it. */
    def weigh(unit: String): Int = load
  }

  package broken {
    class Spring {
      def loose(turns: Int): Int = turns
    }
  }
}
