/**
 * Weighs a crate.
 * @param crate the crate
 */
export function weigh(crate: string): number;
/**
 * Weighs two.
 * @param a the first
 * @param c no such
 */
export function weigh(a: string, b: string): number;
export function weigh(x: any, y?: any): number { return 1; }
export class Scale {
  /** Sets. @param v value */
  set(v: number): void;
  set(v: string, w: string): void;
  set(v: any) {}
}
