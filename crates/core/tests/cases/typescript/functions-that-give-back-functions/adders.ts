/**
 * Adds. It adds what is given.
 * @param one the one
 * @param other the other
 * @returns both
 */
export const add = (one: number) => (other: number): number => one + other;

/**
 * Adds. It adds what is given.
 * @param one the one
 * @param other the other
 * @returns both
 */
export declare function adder(one: number): (other: number) => number;
/**
 * Adds. It adds what is given.
 * @param one the one
 * @param other the other
 */
export declare const adds: (one: number) => (other: number) => number;
