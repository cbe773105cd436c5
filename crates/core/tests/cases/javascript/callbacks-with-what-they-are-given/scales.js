/**
 * Weighs all crates.
 *
 * @param {String|Array} ids - their tags
 * @param {Function} callback(err,load) - called with the load
 * @param {Error} callback().err
 * @param {Object} callback().load - the load in kg
 */
exports.weighAll = function (ids, callback) {
  callback(null, ids);
};

/**
 * Weighs one crate.
 *
 * @param {String} id - its tag
 * @param {Function} callback(err, load) - called with the load
 */
exports.weighOne = function (id, callback) {
  callback(null, id);
};

/**
 * Presses until the load is still. It may take long.
 *
 * @method pressUntilStill
 * @param {number} [time] how long to wait in ms
 * @param {Function} [callback] called when it is
 */
class PressUntilStill {
  /** Prepares the command. */
  constructor() {
    this.time = 0;
  }

  /** Runs the command. */
  command(time, callback) {
    this.time = time;
    callback();
  }
}
exports.PressUntilStill = PressUntilStill;

/**
 * A crate.
 *
 * @param {String} tag - its tag
 * @returns {Crate} the crate
 */
exports.Crate = function Crate(tag) {
  this.tag = tag;
};

/**
 * Takes a crate.
 *
 * @param {String} tag - its tag
 * @returns {Crate} the crate
 */
exports.crate = function crate(tag) {
  this.tag = tag;
};

/**
 * Weighs with a tare.
 *
 * @param {Object} settings - of the scale
 * @param {Object} tare - what to take off
 * @param {Object} unit - what to count in
 */
exports.weighWith = function (settings) {
  const { tare = {}, ...others } = settings;
  others.load = tare;
};
