/** @jsx element */
import { element } from './element.js';

/**
 * Shows a scale on the page.
 *
 * @name pressScale
 * @param {string} press-load what lies on it
 * @param {boolean=} press-full whether it is full
 * @param {string=} title what stands above it
 */
export function PressScale($register) {
  return $register;
}

/**
 * Weighs a crate.
 *
 * @param {string} crate which one
 * @param {Function} [callback] what is called when it is done
 * @returns {(Promise|void)} a promise if no callback is given
 */
export function weigh(crate) {
  return later(crate);
}

/**
 * Takes a crate from the shelf.
 *
 * @param {Function} [callback] what is called when it is done
 */
export function take() {
  return later();
}

/**
 * Writes what a crate weighs.
 *
 * @param {object} crate which one
 * @param {number} load its mass
 * @param {string} unit what it is counted in
 * @param {string} colour of no crate
 */
export function write(crate) {
  const { load = 0, unit } = crate;
  print(load, unit);
}

/**
 * A scale of the hall.
 *
 * @param {string} hall which one
 * @returns {Scale} a scale
 */
export function Scale(hall) {
  this.hall = hall;
}

/**
 * Tares a scale.
 *
 * @param object scale - which one
 * @param number load what lies on it
 */
export function tare(scale, load) {
  scale.load = load;
}

/**
 * Finds crates.
 *
 * @param {Shelf} shelf
 * @param {Function} [optional] test - what they must fulfil
 * @param [number] most how many at most
 * @param {Function} done
 *        @param {Error} problem what went wrong
 */
export function find(shelf, test, most, done) {
  done(shelf.filter(test).slice(most));
}

/** The methods of a scale. */
export const methods = {
  /**
   * Turns the scale.
   *
   * @param {number} turn how far
   */
  turn: function turn(_turn) {
    this.angle = _turn;
  },

  /**
   * Waits for the press.
   *
   * @returns A promise that settles when the press is empty.
   */
  async whenEmpty() {
    await this.press;
  },

  /**
   * Waits for the hall.
   *
   * @returns A promise for the hall.
   */
  async hall() {
    await this.press;
  },
};
