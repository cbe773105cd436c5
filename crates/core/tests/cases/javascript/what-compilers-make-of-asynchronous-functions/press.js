/** Grape press. */
class Press {
  /**
   * Opens the press. It is closed by hand.
   *
   * @param {number} speed how fast
   */
  open(speed) {
    return __awaiter(this, void 0, void 0, function* () {
      yield this.turn(speed);
    });
  }

  /**
   * Weighs a crate. It must lie still.
   *
   * @param {number} crate its tag
   */
  weigh(crate) {
    return __awaiter$1(this, void 0, void 0, function* () {
      if (crate < 0) {
        throw new RangeError("no tag");
      }
      const load = yield this.turn(crate);
      return load;
    });
  }

  /**
   * Turns the press.
   *
   * @param {number} speed how fast
   * @returns {number} the load in kg
   */
  turn(speed) {
    return __awaiter(this, void 0, void 0, function* () {
      yield this.open(speed);
    });
  }

  /**
   * Goes through the crates. They must lie still.
   *
   * @param {number[]} crates their tags
   */
  *each(crates) {
    yield* crates;
  }
}
module.exports = Press;
