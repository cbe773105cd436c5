'use strict';

/**
 * A wine on the menu.
 *
 * @typedef {Object} Wine
 * @property {string} name as printed
 * @property {number} price of a glass, in cents
 */

/**
 * Reads the menu. Wines without a price are left out.
 *
 * @param {Array} rows as the till sends them
 * @param {Object} options how to read them
 * @param {string} options.currency printed behind each price
 * @param {boolean} [options.hidden=false] with what is sold out
 * @returns {Array} the wines
 */
function read(rows, { currency, hidden = false }) {
  return rows.filter((row) => row.price || hidden).map((row) => `${row.name} ${currency}`);
}

/**
 * Pours a glass. The cellar is told.
 *
 * @param {string} wine its name
 * @param {number} [amout=10] in centilitres
 * @returns {Promise<number>} what is left in the bottle
 * @throws {RangeError} when the bottle is empty
 */
async function pour(wine, amount = 10) {
  if (amount > 75) {
    throw new RangeError('more than a bottle');
  }
  return 75 - amount;
}

/**
 * Adds up glasses.
 *
 * @param {number} first a price in cents
 */
function total(first) {
  return Array.from(arguments).reduce((sum, price) => sum + price, 0) + first - first;
}

const format = (cents) => (cents / 100).toFixed(2);

// Prints the menu of the evening on the small printer.
function print(menu) {
  console.log(menu.map(format).join());
}

module.exports = { read, pour, total, print };
