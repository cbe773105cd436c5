/** A gate. */
export class Gate {
  constructor() {
    /** How wide it stands open. See {@link Gate#height}. */
    this.width = 0;
    this.height = 2;
  }

  /**
   * Lets a cart pass. Those that fill it in take the cart.
   *
   * @abstract
   * @param {Cart} cart what comes
   * @returns {boolean} whether it passed
   */
  pass( /* cart */ ) {
    console.warn('abstract');
  }
}

/**
 * Returns the first of some carts.
 *
 * @template T
 * @param {T[]} carts the carts
 * @returns {T} the first
 */
export function first(carts) {
  return carts[0];
}

function nothing() {}

export { nothing as void };
