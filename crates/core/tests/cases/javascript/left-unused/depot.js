/**
 * Weighs a crate. Its pallet is taken off.
 *
 * @param {object} crate - What to weigh.
 * @param {string} unit - What to count in; this scale knows one.
 * @returns {number} The load.
 */
export function weigh(crate, _unit) {
    return crate.load;
}

/**
 * Counts crates. Empty ones too.
 *
 * @param {object[]} crates - What to count.
 * @returns {number} How many there are.
 */
export function count(crates, _day) {
    return crates.length;
}

/**
 * Opens a crate. The lid is kept.
 *
 * @param {object} crate - What to open.
 */
export function open(crate, _lid) {
    crate.lid = _lid;
}

/**
 * Fetches a crate. It may take a day.
 *
 * @param {string} tag - Its tag.
 * @returns {Promise<object>} Resolves: the crate.
 * @returns Rejects: with what went wrong.
 */
export function fetchCrate(tag) {
    return ask(tag);
}

/**
 * Asks for a crate. Twice if need be.
 *
 * @typedefn Tag = string | number
 * @param {string} tag - Its tag.
 * @returns {Promise<object>} The crate.
 * @returns {Promise<object>} What stands in it.
 */
export function ask(tag) {
    return read(tag);
}
