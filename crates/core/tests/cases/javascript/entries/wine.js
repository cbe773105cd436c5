/**
 * Pours. Slowly.
 *
 * @param {string} wine which one
 * @param {number} [amount=2] in cl
 * @param {Object} options how
 * @param {string} options.glass the glass
 * @param {boolean} cold whether cold
 * @returns {Promise<string>} the glass
 * @throws {TypeError} when there is none
 * @throws when it is closed
 */
export async function pour(wine, amount, options) {
  if (!wine) throw new TypeError('none');
  return wine;
}

/**
 * Lists. All of them.
 * @yields {string} each wine
 */
export function* list() { yield 1; }

/**
 * Adds. Any number.
 * @param {number} first the first
 */
export function add() { return arguments.length; }

/**
 * A callback.
 * @callback Poured
 * @param {string} glass
 */

/** Wrapped. @param {string} x */
export const wrapped = memo((x) => x);
