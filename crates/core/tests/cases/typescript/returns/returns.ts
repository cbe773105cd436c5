/** Runs. @returns something */
export async function run(): Promise<void> {}
/**
 * Fails.
 * @returns never anything
 */
export function fail(): never { throw new Error('x'); }
/**
 * Checks.
 * @param x a thing
 */
export function check(x: unknown): x is string { return true; }
/**
 * Asserts it.
 *
 * Twice.
 * @param x a thing
 */
export function assert(x: unknown): asserts x is string { if (!x) throw new TypeError('x'); }
/**
 * Reads. And more.
 * @throws {RangeError} when far
 */
export const read = async (n: number): Promise<number> => { if (n > 3) throw new RangeError(); return n; };
