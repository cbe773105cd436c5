/**
 * Adds. It adds what is given.
 * @param {number} one the one
 * @param {number} other the other
 * @returns {number} both
 */
export const add = one => other => one + other;

/**
 * Adds. It adds what is given.
 * @param {number} one the one
 * @param {number} other the other
 * @returns {function(number): number} both
 */
export function adder(one) {
  return function (other) { return one + other; };
}

/**
 * Weighs. It weighs in a unit.
 * @param {string} unit what to count in
 * @param {number} load what lies on it
 * @param {number} tray what nothing takes
 * @returns {function(number): function(number): string} what weighs
 */
export const weigher = (unit) => ({ tare }) => (load) => `${load - tare} ${unit}`;

/**
 * Makes what weighs crates.
 *
 * @param {Crate} crate what is weighed
 * @return {function(Crate): number} what weighs
 */
export function createWeigher(scale) {
  var weigh = function weigh(crate, unit) {
    return scale.weigh(crate, unit);
  };
  weigh.scale = scale;
  return weigh;
}

/**
 * Makes what tips crates.
 *
 * @param {Crate} crates what is tipped
 * @return {function(Crate): void} what tips
 */
export function createTipper(press) {
  function tip(crate) {
    press.tip(crate);
  }
  return tip;
}
