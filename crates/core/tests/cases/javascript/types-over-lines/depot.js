/**
 * Weighs a crate. Its pallet is taken off.
 *
 * @param {{
 *   load: number,
 *   weigh: () => number
 * }} crate - What to weigh.
 * @param {Object<string,
 *   number>} units - What to count in.
 * @returns {Promise<{
 *   net: number
 * }>} The load.
 */
export function weigh(crate, units) {
    return crate.weigh(units);
}

/**
 * Stows a crate. Where there is room.
 *
 * @param {{
 *   load: number
 * }} box - What to stow.
 * @param {number} [bay] - Where.
 * @suppress {invalidCasts}
 */
export function stow(crate, bay) {
    crate.put(bay);
}

/**
 * @param {{
 *   load: number
 * }} crate
 */
export function open(crate) {
    crate.lid = null;
}

/**
 * Weighs crates. Whoever wrote this forgot a brace.
 *
 * @param {object crate - What to weigh.
 * @param {string} box - What to count in.
 * @example
 * weighAll(function () { return 1; } });
 * @returns {number} The load.
 */
export function weighAll(crate, unit) {
    return crate.load * unit;
}
