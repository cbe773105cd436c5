/**
 * Weighs a crate, and waits for it to settle.
 * @param crate what to weigh
 * @param unit what to weigh it in
 * @returns the load once it has settled
 */
export function weigh(crate_1) {
    return __awaiter(this, arguments, void 0, function* (crate, unit = 'kg') {
        return yield crate.settle(unit);
    });
}

/**
 * Watches a tank.
 * @param {Object} param - what to watch for
 * @param {function(level: number)} param.onLevel called at each level
 */
export function watch(_a) {
    var _b = _a === void 0 ? {} : _a, onLevel = _b.onLevel;
    tanks.push(onLevel);
}

/**
 * Drains a tank.
 * @param litres how much
 * @param slowly whether to take time
 */
export function drain(_a) {
    var litres = _a.litres, slowly = _a.slowly;
    tanks.pop(litres, slowly);
}

/**
 * Takes a word with an underscore as it stands.
 * @param {string} word what to take
 */
export function take(_a) {
    tanks.push(_a);
}

/**
 * Makes a day ready. With all that belongs to it.
 *
 * @param {object} options - What it takes.
 * @param {number} options.load - The load.
 */
export function makeDay(param) {
    let { load } = param;
    use(load);
}

/**
 * Ends a day. With all that belongs to it.
 *
 * @param {object} options - What it takes.
 */
export function endDay(param) {
    use(param);
}

/**
 * Weighs a crate in the hall, later.
 *
 * @param {string} crate which one
 * @param {object} [options] how
 * @returns {Promise<number>} its mass
 */
export function weighLater(crate_1) {
  return __awaiter$1(this, arguments, void 0, function* (crate, options = {}) {
    return options[crate];
  });
}

/**
 * Calls a function for each crate.
 *
 * The order is that of the shelf.
 *
 * @param {Function} fn what is called
 */
export function forEachCrate(fn) {
  return shelf.forEach(fn);
}
