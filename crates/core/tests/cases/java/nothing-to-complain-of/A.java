/** A barn. Big. @param <T> what lies in it */
public sealed abstract class A<T extends Comparable<? super T>> permits A.B {
  /**
   * Makes one. Empty.
   * @param width how wide
   * @throws IllegalArgumentException if it is negative
   */
  protected A(int width) {
    if (width < 0) throw new IllegalArgumentException("negative");
  }
  /**
   * Weighs. Slowly.
   * @param <K> the key
   * @param map by key
   * @param keys which
   * @return their mass
   * @throws java.io.IOException if it cannot be read
   */
  @SafeVarargs
  public static <K> int weigh(java.util.Map<K, int[]> map, final K... keys) throws java.io.IOException {
    try (var in = new java.io.FileInputStream("a")) {
      return switch (in.read()) { case 1 -> 2; default -> { yield 3; } };
    }
  }
  /**
   * A point. Small.
   * @param x to the east
   * @param y to the north
   */
  public record Point(int x, int y) {
    /** Makes one. Surely. */
    public Point {
      if (x < 0) x = 0;
    }
    /**
     * Moves. Slowly.
     * @param dx to the east
     * @return the new one
     */
    public Point moved(int dx) { return new Point(x + dx, y); }
  }
  /** Another. Small. */
  public static final class B extends A<String> { B() { super(1); } }

  /**
   * Weighs one. In turn.
   * @param <code>crate</code> What.
   * @return Its mass.
   * @exception <code>IllegalArgumentException</code> If it is too heavy.
   * @required
   */
  public int inTurn(int crate) {
    if (crate > 3) {
      throw new IllegalArgumentException("too heavy");
    }
    switch (crate) {
      case 1:
        return 1;
      default:
        throw new IllegalStateException("Unreachable case: " + crate);
    }
  }
}
