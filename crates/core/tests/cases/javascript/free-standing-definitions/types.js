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

/**
 * The bin is full.
 *
 * @event Press#full
 * @param {number} litres what is in it
 */

export const NONE = 0;

/**
 * A press with its bin.
 *
 * @param {Crate} crate what is pressed first
 * @event full: the bin is full
 * @event `empty`: the bin is empty
 */

export function Press(crate) {
  this.crate = crate;
}

/**
 * A press that stands still.
 *
 * @param {Crate} crat what is pressed first
 * @event `full`: the bin is full
 */

export function Still(crate) {
  this.crate = crate;
}
