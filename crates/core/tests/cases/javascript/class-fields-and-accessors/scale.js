/** A scale. */
export class Scale {
  /** Units shown. */
  static units = 'kg';
  #tare = 0;
  /**
   * Net weight.
   * @param {number} gross with the crate
   */
  net = (gross, note) => gross - this.#tare;
  /** The tare. */
  get tare() { return this.#tare; }
  set tare(value) { this.#tare = value; }
  #hidden() {}
  /**
   * Makes one.
   * @param {string} name shown
   */
  static of(name, ...rest) { return new Scale(name, rest); }
  async *readings(limit = 10) { yield limit; }
  ['computed'](a) {}
}
