'use strict';

/**
 * Opens a barn. Slowly.
 *
 * @param {string} name  its name
 * @param {Object} [opts]  how
 * @param {boolean} [opts.wide]  wide
 * @param {Function} done  called with (err, barn)
 */
exports.open = function open(name, opts, done) {
  if (typeof opts === 'function') {
    done = opts;
    opts = {};
  }
  done(null, name);
};

/**
 * Makes a barn. Empty.
 * @constructor
 * @param {number} width how wide
 */
function Barn(width) {
  this.width = width;
}

/**
 * Weighs. Slowly.
 * @param {...Crate} crates what
 * @return {number} their mass
 * @this {Barn}
 */
Barn.prototype.weigh = function () {
  return Array.prototype.slice.call(arguments).length;
};

/**
 * Walks. Slowly.
 * @param {number} n how far
 * @return {Promise} when it is there
 */
Barn.prototype.walk = async function (n) {};

/** @type {import('./x').Y} */
exports.y = null;

/**
 * Adds. Both.
 * @type {(a: number, b: number) => number}
 */
exports.add = (a, b) => a + b;

/**
 * @callback Called
 * @param {number} a one
 * @param {number} b another
 * @returns {boolean} whether
 */

/**
 * @typedef {Object} Opts
 * @property {number} width how wide
 */

exports.Barn = Barn;

module.exports.mix = {
  /**
   * Mixes. Slowly.
   * @param {number} a one
   * @returns {number} it
   */
  mix(a) {
    return a;
  },
  /** How many. In all. */
  get count() {
    return 1;
  },
};
