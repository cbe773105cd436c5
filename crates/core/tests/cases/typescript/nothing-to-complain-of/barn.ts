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

/**
 * Books seats. Nothing is paid.
 * @param names - Of the guests.
 * @param undo - Whether the way back is wanted.
 * @typeParam S - Of a seat.
 * @return If desired, the way back.
 */
export declare function book(names: string[]): void;
export declare function book<S>(names: string[], undo: true): S[];

/**
 * Says whether a seat is taken.
 * @param seat - To look at.
 * @returns {true} if it is
 * @returns {false} if it is not
 * @returns {null} if there is none
 */
export declare function taken(seat: string): boolean | null;

/**
 * Hands a crate over.
 * @param crate - To hand over.
 * @return Fulfills with `undefined` upon success.
 */
export declare function handOver(crate: string): Promise<void>;

/**
 * Sends word. It is not waited for.
 * @param topic - Where to.
 * @param eventData - What to say.
 * @returns What was answered.
 */
export declare function send(topic: string, ...args: unknown[]): unknown[];

/**
 * Draws a crate.
 * @example
 * const shader = `
 * attribute vec3 position;
 *
 * void main(void) { }
 * `;
 *
 * draw(shader);
 */
export declare function draw(): void;

/**
 * Quotes with \ on one shell and ` on the other.
 *
 * Allowed are `A-Z`, ` `, `.` and all.
 *
 * A word is in "`".
 */
export declare function quote(): void;

/**
 * Looks at a gate.
 * <div>
 *   <div #opened></div>
 * </div>
 * @navigation somewhere
 * @noimport
 */
export declare function look(): void;

/** A copy of a barn. */
export class Copied {
  /** @inheritDoc Barn.over */
  over(): void {}
}

/**
 * Fills a barn. From above.
 *
 * @param crates - what to fill it with
 * @param tare - what to take off
 */
export declare function fill(options: Omit<Fill, "rows"> & Way): void;

/**
 * Opens a barn. At once.
 *
 * @return void
 * [See the yard](https://orchard.test/yard)
 */
export declare function openAll(): void;

/**
 * Turns pages. Forth and back.
 *
 * @param page which one
 *
 * -OR-
 *
 * @param page which one, and how many
 */
export declare function turn(page: number | Page): void;
