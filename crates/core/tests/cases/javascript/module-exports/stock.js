'use strict';
/** Counts. @param {number} n bottles */
function count(n) { return n; }
function inner() {}
exports.total = function (list) { return list.length; };
module.exports.best = (a, b) => a;
module.exports = {
  count,
  /** Sells. */
  sell(bottle, price = 3) {},
  renamed: inner,
};
