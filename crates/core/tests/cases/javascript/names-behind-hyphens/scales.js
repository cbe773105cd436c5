/**
 * Weighs a crate.
 * @param {Crate} - crate - What to weigh
 * @param {Object} - options - How to weigh it
 * @param {number} - options.depth - How deep it stands
 * @returns {number} What it weighs
 */
export function weigh(crate, options) {
    return crate.load + options.depth;
}

/**
 * Weighs nothing.
 * @param {Crate} - what to weigh
 * @returns {number} what it weighs
 */
export function weighNothing(crate) {
    return 0 * crate.load;
}
