/** Moves `litres` litres to `vat`. The gauge is reset at minLevel. */
export function move(litres: number, vat: string, minLevel: number, times: number): void {
  void [litres, vat, minLevel, times];
}

/**
 * Rounds `load`. It is never more than `most`.
 * @param load the load, in kg
 */
export function round(load: number, most: number): void {
  void [load, most];
}

/** What weighs. */
export class Scale {
  /**
   * Sets the unit. Can be chained with what sets the rest.
   * @param unit what to count in
   */
  unit(unit: string): Scale {
    void unit;
    return this;
  }

  /**
   * Call this before the next crate is set down. Check the return value to see whether it may be.
   * @param crate what comes next
   */
  ready(crate: string): boolean {
    return crate !== "";
  }
}
