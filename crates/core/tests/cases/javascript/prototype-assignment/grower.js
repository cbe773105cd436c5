/**
 * A grower.
 * @constructor
 * @param {string} name of the grower
 */
function Grower(name, slope) { this.name = name; }
/**
 * Pays.
 * @param {number} sum in coins
 * @returns {boolean} whether it went out
 */
Grower.prototype.pay = function (sum, when) { return true; };
Grower.prototype = {
  /** Shows. @returns {string} text */
  show: function () { return this.name; },
};
/** Finds one. */
Grower.find = function (name) { return null; };
exports.Grower = Grower;

/**
 * Extends a grower. Much.
 * @param {object} by With what.
 * @returns {object} It.
 */
Grower.extend = Grower.prototype.extend = function (by) {
  return by;
};
