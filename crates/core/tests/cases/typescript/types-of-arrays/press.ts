/**
 * Weighs crates of the harbour. Loads are in kg.
 *
 * @param {string} names the names of the crates
 * @param {string[]} marks the marks of the crates
 * @param {Array<string>} lots lots of crates
 * @param {string} read reads the names from the ticket
 * @param {string} rest what else stands on the scale
 * @returns {number} the load
 */
export function weigh(
  names: string[],
  marks: readonly string[],
  lots: string[],
  read: () => string[],
  ...rest: string[]
): number | undefined {
  return names.length;
}

/** An old scale. @deprecated use the bridge */
export function old(load: number): void {}
