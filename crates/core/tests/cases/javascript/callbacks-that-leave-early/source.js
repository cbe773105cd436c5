/**
 * Reads a crate. It does not wait.
 *
 * @param {string} tag - the tag of the crate
 * @param {Function} cb - called with an error or the crate
 */
export function read(tag, cb) {
  if (!tag) {
    return cb(new Error("no tag"));
  }
  cb(null, tag);
}

/**
 * Reads a crate. It does not wait.
 *
 * @param {string} tag - the tag of the crate
 * @param {Function} make - makes the crate
 */
export function readWith(tag, make) {
  return make(tag);
}

/**
 * Made by those who extend it.
 *
 * @returns {number} the load in kg
 */
export function load() {}
