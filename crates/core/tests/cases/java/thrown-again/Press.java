/** Press. */
public class Press {
  /**
   * Opens the press.
   *
   * @param speed how fast
   * @throws java.io.IOException when it is stuck
   */
  public void open(int speed) throws java.io.IOException {
    try {
      turn(speed);
    } catch (RuntimeException e) {
      close();
      throw e;
    }
  }

  /**
   * Opens the press.
   *
   * @param speed how fast
   * @throws java.io.IOException when it is stuck
   */
  public void openAll(int speed) throws java.io.IOException {
    try {
      turn(speed);
    } catch (java.io.IOException | RuntimeException e) {
      close();
      throw e;
    }
  }

  /**
   * Opens the press.
   *
   * @param speed how fast
   */
  public void shut(int speed) {
    try {
      turn(speed);
    } catch (IllegalStateException | IllegalArgumentException e) {
      close();
      throw e;
    }
  }

  /**
   * Weighs a crate. When it slips, this method should always return its tare.
   *
   * @param crate its tag
   */
  public int weigh(int crate) {
    return crate;
  }

  /**
   * Short for {@code weigh(crate, true)}. It is slow.
   */
  public int weighTwice(int crate) {
    return weigh(crate) + weigh(crate);
  }
}
