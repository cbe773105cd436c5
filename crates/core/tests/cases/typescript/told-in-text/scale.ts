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

/** Weighs all crates. If no unit is given, they are counted in kg. */
export function weighAll(unit?: string, each?: boolean): void {
  void [unit, each];
}

/**
 * Listens to a scale.
 * @param listener what is called with each load
 * @param load what it is called with, in kg
 * @param lood what it is not
 */
export function listen(listener: (load: number) => void): void {
  void listener;
}
