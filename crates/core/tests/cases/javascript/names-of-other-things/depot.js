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
