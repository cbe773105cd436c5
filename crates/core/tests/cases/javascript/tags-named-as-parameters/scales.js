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
