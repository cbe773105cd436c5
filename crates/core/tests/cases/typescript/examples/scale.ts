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
