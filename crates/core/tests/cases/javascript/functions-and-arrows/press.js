/** Weighs. @param {number} a load */
export function weigh(a) { return a; }
/**
 * Tares.
 * @param {number} b load
 * @param {number} c more
 */
export const tare = (b) => b;
/**
 * Nets.
 * @param {number} d load
 */
export const net = function inner(d, e) { return d - e; };
/** Lifts. */
export let lift = async x => { await x; }, drop = function* () { yield 1; };
export default (crate, { tag } = {}) => crate + tag;
