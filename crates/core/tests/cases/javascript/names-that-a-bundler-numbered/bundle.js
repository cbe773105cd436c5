var __defProp = Object.defineProperty;

/**
 * Lifts a crate.
 *
 * @param {number} load what it weighs
 * @param {number} height how far to lift it
 */
export function lift(load2, height) {
  return load2 * height;
}

/**
 * Tips a crate.
 *
 * @param {number} load what it weighs
 */
export function tip(height) {
  return height;
}
