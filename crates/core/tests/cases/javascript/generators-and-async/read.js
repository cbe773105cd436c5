/**
 * Reads.
 * @returns {Promise<string>} the line
 */
export async function read() { return 'x'; }
/**
 * Waits.
 * @returns nothing to see
 */
export async function wait() { await 1; }
/**
 * Gives lines.
 * @yields {string} one line
 */
export function* lines() { yield 'a'; }
/** Gives none. */
export async function* none(from) { yield from; }

/**
 * Sends a crate.
 *
 * @param {string} crate its tag
 * @return {!Promise}
 */
export async function send(crate) {
  await carry(crate);
}
