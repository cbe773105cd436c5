/** Parts of what is taken. */

/**
 * Weighs a crate.
 *
 * @param {object} args
 * @param {number} args.load - what it weighs
 * @returns {Promise<void>} Resolves when it is done
 * @colDef weighing
 */
export function weigh(args: { load: number }): Promise<void>;

/**
 * Tips a crate.
 *
 * @param crate
 * @returns the rest
 */
export function tip(crate: object): void;
