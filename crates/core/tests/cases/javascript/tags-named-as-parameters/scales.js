/**
 * Weighs a crate as the options have it.
 *
 * @crate [Object] the crate to weigh
 *
 * @options [Object]: see number/format.
 *
 * @returns {string} what it weighs
 */
export function weigh(crate, options) {
    return options.format(crate.load);
}

/**
 * Weighs crates one by one.
 *
 * @param {number[]} crates what is weighed
 * @param- {Object} [guard] lets it be handed to `map`
 * @returns {number} the load
 */
export function weighEach(crates, guard) {
  return guard ? 0 : crates.length;
}
