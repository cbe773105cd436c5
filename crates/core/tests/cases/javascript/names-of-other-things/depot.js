/**
 * Weighs what stands on it.
 * @name press-weigh
 * @param {string} unit what to count in
 */
/**
 * Weighs what stands on it.
 * @name pressWeigh
 * @param {string} unit what to count in
 */
export function weighDirective() {
    return { restrict: 'A' };
}

/**
 * Tares a scale.
 * @name scales.tare
 * @param {string} unit what to count in
 * @returns {number} the tare
 */
export function tare(scale) {
    return scale.tare;
}

export const reader = {
    /**
     * Reads a line.
     * @param {number} size how long it is at most
     * @returns {string} the line
     */
    readLine: function () {
        // see those that read
    },

    /**
     * Counts lines.
     * @param {number} size how long each is at most
     */
    countLines: function () {
        this.count();
    },
};

/**
 * Starts the scale.
 * @method start
 * @param {Crate} crate what to weigh
 */
reader.onNextLine = function (line, callback) {
    callback(line);
};

/**
 * Stops the scale.
 * @method _Stop
 * @param {Crate} crate what nothing takes
 */
reader.stop = function (line) {
    line.stop();
};

/**
 * Weighs a crate.
 * @name depot.weighAll(source)
 * @param {Crate[]} source what to weigh
 */
export function isCrate(value) {
    return value.load;
}

/**
 * Draws a crate.
 *
 * @example
 *     draw(crate);
 *
 * </pre><div id="crate"></div>
 * <script>draw(crate);</script>
 *
 * @param {Crate} crate what to draw
 */
export function draw(crate) {
    crate.draw();
}
