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
   * Shuts the press. It is opened by hand.
   *
   * @param {number} speed how fast
   */
  shut(speed) {
    return __awaiter(this, void 0, void 0, function () {
      return __generator(this, function (_a) {
        switch (_a.label) {
          case 0: return [4 /*yield*/, this.turn(speed)];
          case 1:
            _a.sent();
            return [2 /*return*/];
        }
      });
    });
  }

  /**
   * Tares a crate. It must be empty.
   *
   * @param {number} crate its tag
   */
  tare(crate) {
    return __awaiter(this, void 0, void 0, function () {
      return __generator(this, function (_a) {
        switch (_a.label) {
          case 0: return [4 /*yield*/, this.turn(crate)];
          case 1: return [2 /*return*/, _a.sent()];
        }
      });
    });
  }

  /**
   * Goes through the loads.
   *
   * @returns {Iterable} each load in kg
   */
  loads() {
    return __generator(this, function (_a) {
      switch (_a.label) {
        case 0: return [4 /*yield*/, this.load];
        case 1: return [2 /*return*/];
      }
    });
  }

  /**
   * Stops the press. It may be opened then.
   *
   * @returns
   */
  async stop() {
    await this.turn(0);
  }

  /**
   * Tips a crate, or all of a hall.
   *
   * @param {string} hall its name
   */
  tip(_1, _2) {
    this.turn(_1 + _2);
  }

  /** @param {number} crate its tag @param {number} load in kg @param {number} [tare] in kg @param {string} [unit='kg'] of all */
  fill(crate, load, tare, unit) {
    this.turn(crate + load + tare + unit);
  }

  /**
   * Shows the press.
   *
   * @param {Element} place where
   * @param {number} speed how fast
   */
  show(settings) {
    settings.place.append(settings.speed);
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
