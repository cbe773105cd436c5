/** A crate. */
export interface Crate<T extends { a: Map<string, T[]> }> {
  /** Its mark. */
  readonly tag: string;
  /**
   * Lifts it.
   * @param by how far
   */
  lift(by: number, gently?: boolean): Promise<void>;
  /** Called. @param x a thing */
  (x: string, y: number): boolean;
  /** Made. */
  new (from: string): Crate<T>;
  /** Told. @param e event */
  onTold: (e: Event, n: number) => void;
  [key: string]: unknown;
}
/**
 * Picks.
 * @param a first
 * @returns the one
 */
export type Pick2 = (a: string, b: string) => string;
/** Either. */
export type Either<A, B> = A | B;

/** Weighers of a kind. */
export interface Weighers {
  /**
   * Narrows what is weighed.
   *
   * @typeParam Load - what is weighed
   * @typeParam Tare - no such
   */
  narrowed: <Load>() => Weighers;
}

/**
 * Packs what it is given.
 *
 * @typeParam C - what is packed
 * @param crate - the crate to pack
 */
export interface Packs {
  <C>(crate: C): C;
}

/** What a press is told. */
export interface PressOptions {
  /**
   * Handles what the press spills. Writes it down unless another is given.
   */
  spilled?: (crate: string, load: number) => void;
  /**
   * Chooses the scale. The first one is taken unless another is given.
   *
   * @param crate what is weighed
   */
  scale?: (crate: string, load: number) => number;
}
