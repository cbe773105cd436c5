/** What the till can do. */
export const till = {
  /**
   * Opens it.
   * @param {string} who the keeper
   */
  open(who, when) { return who; },
  /** Shuts it. */
  shut: () => {},
  /** Counts. */
  count: function (coins) { return coins; },
  nested: {
    /** Rings. */
    ring(times) {},
  },
  get total() { return 1; },
};
const book = {
  /** Adds a line. @param {number} x amount */
  add(line) {},
};
export { book };
