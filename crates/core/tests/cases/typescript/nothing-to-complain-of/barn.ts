/** Options. All. */
export interface Options<T = unknown> {
  /** How wide. In m. */
  width?: number;
  /**
   * Called for each. In order.
   * @param crate The crate.
   * @param at Where.
   * @returns Whether to go on.
   */
  onEach?(crate: T, at: number): boolean;
  /**
   * Called last. Once.
   * @param crates All.
   */
  onEnd: (crates: readonly T[]) => void;
}

/**
 * Opens. Slowly.
 * @typeParam T What lies in it.
 * @typeParam K Its keys.
 * @param options How.
 * @param keys Which.
 * @returns The crates.
 * @throws {TypeError} If there is none.
 */
export function open<T extends object, const K extends keyof T>(
  { width = 3, onEach, onEnd }: Options<T>,
  ...keys: [K, ...K[]]
): Pick<T, K>[] {
  if (!keys.length) throw new TypeError('none');
  return [];
}

/**
 * Tells whether. Surely.
 * @param value What.
 * @returns Whether it is.
 */
export function isCrate(value: unknown): value is Options {
  return true;
}

/**
 * Asserts. Surely.
 * @param value What.
 * @throws {Error} If it is none.
 */
export function assertCrate(value: unknown): asserts value is Options {
  if (!value) throw new Error('not');
}

/** A barn. Big. */
export abstract class Barn<T> {
  /**
   * Makes one. Empty.
   * @param width How wide.
   * @param names The names.
   */
  constructor(private readonly width: number, public names?: string[]) {}

  /**
   * Weighs. Slowly.
   * @param crate What.
   * @returns Its mass.
   */
  abstract weigh(crate: T): number;

  /**
   * Weighs all. Slowly.
   * @param crates What.
   * @returns Their mass.
   */
  protected async *all(crates: AsyncIterable<T>): AsyncGenerator<number, void, undefined> {
    yield 1;
  }

  /**
   * Overloaded. Twice.
   * @param a One.
   * @returns It.
   */
  over(a: string): string;
  /**
   * Overloaded. Twice.
   * @param a One.
   * @param b Another.
   * @returns Both.
   */
  over(a: number, b: number): number;
  over(a: string | number, b?: number): string | number {
    return a;
  }
}
