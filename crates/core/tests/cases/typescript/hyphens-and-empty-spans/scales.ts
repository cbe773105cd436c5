/**
 * Weighs what lies on a scale. What it counts in is `kg`, ``, or `lb`.
 *
 * @param load- What lies on it.
 * @param tray- What nothing takes.
 * @returns The load, as ``kg or pounds.
 */
export function weigh(load: number): number {
    return load;
}

/**
 * Gives back what it takes. It changes nothing.
 *
 * @template T
 * @param crate - What it takes.
 * @returns The same.
 */
export function same<T>(crate: T): T {
    return crate;
}

/**
 * Gives back what it takes. It changes nothing.
 *
 * @typeParam T
 * @param crate - What it takes.
 * @returns The same.
 */
export function again<T>(crate: T): T {
    return crate;
}
