/**
 * @module scale
 * @description
 *
 * Weighs crates on the platform in the yard.
 */

/**
 * @group scale
 * @description
 *
 * Weighs one crate, and remembers the load. It is tared before.
 *
 * @param {number} load the gross load, in kg
 */
export function weigh(load, tare) {
  return load - tare;
}

/**
 * @summary Tares it.
 */
export function tare() {}

/**
 * @description
 */
export function print() {}

/** A scale. */
export class Scale {
  /**
   * @public
   * @static
   * Takes the crate off.
   * @param {string} crate its tag
   */
  static unload(crate) {
    this.crate = crate;
  }

  /**
   * @public
   *
   * @param {string} crate its tag
   */
  load(crate) {
    this.crate = crate;
  }

  /** @inheritDoc */
  stop() {}

  /**
   * Turns the scale. It stays level.
   *
   * @param {number} degrees how far
   * @chainable
   */
  turn(degrees) {
    return this;
  }
}

/**
 * @memberof Press
 *
 * Empties the press.
 *
 * @param {number} times how often
 */
export function clear(times) {}

/**
 * @example
 *
 * Press.fill(2)
 *
 * @param {number} times how often
 */
export function fill(times) {}
