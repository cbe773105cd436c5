/** A scale. */
export interface Scale<in Load, out Result extends object> {
  /**
   * Weighs a crate.
   *
   * @param load - what is weighed
   * @param tare - no such
   */
  weigh(load: Load): Result;
}

/** Weighers by the sort of scale. */
export declare const weighers: {
  <Load>(load: (l: Load) => boolean): (all: ReadonlyArray<Load>) => ReadonlyArray<Load>
  <Load, Result>(load: (l: Load) => Result): (all: ReadonlyArray<Load>) => ReadonlyArray<Result>
};

/**
 * Opens the gate.
 *
 * @param gate - which one
 */
export declare function open(gate: import('./gate').Gate<'north', boolean>, wide: boolean): void;
