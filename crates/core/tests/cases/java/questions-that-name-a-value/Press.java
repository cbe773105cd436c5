/** A press. */
public interface Press {
  /**
   * Which crates lie on it. They are told from the left.
   */
  int[] getCrates();

  /**
   * How many crates lie on it. Those that are empty count as well.
   */
  int getCount();

  /**
   * How it works is told elsewhere. Nothing is known of the rest.
   */
  int getRest();
}
