/** What a scale is made with. */
export interface ScaleOptions {
  /**
   * Called when a crate is put on the scale. Nothing is weighed before it is done.
   */
  onWeigh?: (event: WeighEvent) => void;
  /**
   * Called when the scale is full. Nothing is weighed before it is done.
   */
  onFull?: (load: number) => void;
  /**
   * Tells whether a crate is kept. Should return true to keep it.
   *
   * @param crate - which one
   */
  keeps?(crate: string): boolean;
}

/**
 * Looks up what a crate weighed, or returns what it should.
 *
 * @param crate - which one
 * @param [since] - from when on
 * @param [until] - up to when
 */
export function lookUp(crate: string, since: Date | undefined, until: Date): number {
  return crate.length;
}

/** What weighs. See {@link Weigher#weigh}. */
export class WeigherClass {
  /**
   * Makes one for a hall.
   *
   * @param hall - which one
   * @returns An instance of WeigherClass
   */
  constructor(readonly hall: string) {}

  /** Weighs nothing. See {@link WeigherClass#weighs}. */
  weigh(): void {}
}

/** What weighs, and is in a hall. */
export type Weigher<T> = WeigherClass & { hall: T };
