/**
 * Checks a crate.
 *
 * ```ts
 * const load = await weigh(3);
 * ```
 *
 * ```ts
 * const load = weigh(3;
 * ```
 *
 * ```sh
 * weigh ( (
 * ```
 */
export function weigh(load: number): number {
    return load;
}

/**
 * Tips a crate.
 *
 * ```ts
 * const load = tip(3);
 * /* load is 3, in kg *\/
 * ```
 */
export function tip(load: number): number {
    return load;
}
