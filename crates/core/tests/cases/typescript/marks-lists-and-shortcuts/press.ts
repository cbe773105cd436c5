/** A press. */
export class Press {
  /// Presses a crate, and
  /// tells its load.
  press(crate: string): number { return 1; }

  /**
   * Behaves identically to {@link Press.press} except that the crate is weighed.
   *
   * See {@link Press.press} for details.
   */
  weigh(crate: string): number { return 1; }

  /**
   * How to use it:
   *
   * 1. Look at `press.ready``.
   * 2. Press a crate with `press.press(crate)`.
   */
  ready = true;
}
