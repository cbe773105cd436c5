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
