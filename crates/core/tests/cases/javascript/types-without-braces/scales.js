/**
 * Weighs a crate.
 * @param Object crate
 * @param Number depth - how deep it stands
 * @returns {number} what it weighs
 */
export function weigh(crate, depth) {
    return crate.load + depth;
}

/**
 * Counts what stands on a shelf.
 * @param String of the shelf
 * @returns {number} how many
 */
export function count(shelf) {
    return shelf.length;
}

/**
 * Weighs a crate. Its pallet is taken off.
 *
 * @module
 * @param (Crate) box - What to weigh.
 * @param (string)  unit What to count in.
 * @returns {number} The load.
 */
export function weighByUnit(crate, unit) {
    return crate.load * unit;
}

/**
 * Makes a scale for a shelf.
 *
 * @param   Shelf   shelf  Where it stands
 * @param   Object  options
 * @param Scale other
 * @param The load that it bears
 * @param Tray
 */
export function make(shelf, options, other, load, tray) {
    shelf.add(options, other, load, tray);
}
