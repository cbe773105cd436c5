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
