/**
 * Plans a route.
 * @param {object} options what to plan
 * @param {string} options.from start
 * @param {string} [options.to=home] end
 * @param {...string} stops between
 */
export function plan({ from, to = 'home', via: [first, ...others] }, ...stops) {}
/**
 * Splits.
 * @param {string} text all of it
 * @param {string} [mark=,] between
 * @param {Function=} each called
 */
export function split(text, mark = ',', each = (a, b) => ({ a, b }), last = [1, 2]) { return text; }
/** Draws.
 * @param {object} props of the sign
 */
export const Sign = ({ name, children }) => null;
