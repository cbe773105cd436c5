/**
 * Loads a crate. It does not wait.
 *
 * @param {object} [options] - how to load
 * @param {boolean} [options.twice] - load it twice
 * @param {Function} callback - called at the end
 */
export function load(optionsOrCallback, callback) {
  callback(optionsOrCallback);
}

/**
 * Marks a crate. It does not wait.
 *
 * @param {object} settings - how to mark
 * @param {string} settings.colour - the colour
 * @param {string} settings.place - the place
 * @param {number} crate - its number
 */
export function mark(setting, crate) {
  crate(setting);
}

/**
 * Weighs a crate. It does not wait.
 *
 * @param {number} crate - its number
 * @param {boolean} twice - whether to weigh it twice
 * @param {number} limit - when to stop
 */
export function weigh({ crate, twice, limit }) {
  crate(twice, limit);
}

/**
 * Reads a crate.
 *
 * @param {string} tag - the tag of the crate
 * @param {Function} callback - called with the crate
 * @returns {Promise<object>} the crate
 */
export function read(tag, callback) {
  callback(tag);
}

/**
 * Refuses what is no tag.
 *
 * @param {unknown} tag - what may be a tag
 * @returns {asserts tag is string}
 */
export function refuse(tag) {
  if (typeof tag !== "string") throw new TypeError("no tag");
}

/**
 * Turns a crate. It does not wait.
 *
 * @param {object} where - where to
 * @param {string} where.hall - the hall
 * @param {string} where.place - the place
 */
export function turn() {}

/**
 * Carries a crate.
 *
 * @range [0, 1]
 * @param {number} crate - its number
 */
export function carry(crate) {
  crate();
}
