/**
 * A crate.
 * @typedef {object} Crate
 * @property {string} tag its mark
 * @property {number} [weight] in kg
 */

/**
 * Called for each.
 * @callback Each
 * @param {Crate} crate one
 * @returns {boolean} whether to go on
 */

/** @import { Slope } from './slope.js' */

/**
 * Walks.
 * @param {Crate[]} crates all
 * @param {Each} each called
 */
export function walk(crates, each) {
  /** @type {number} */
  let n = 0;
  const m = /** @type {any} */ (n);
}
