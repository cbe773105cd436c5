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

/**
 * Route parameter decorator. It fills the parameter with the load.
 *
 * @param name which load
 */
export declare function Load(name: string): ParameterDecorator;

/**
 * Weighs later, or at once. It is never both.
 *
 * @param load what is weighed
 */
export declare function weighLater(load: number): void | Promise<void>;

/**
 * Looks a load up in the yard.
 *
 * @returns Loads of the yard are not known here.
 */
export declare function lookAround(): undefined;

/**
 * Given a scale, it produces a `Press`. It is never empty.
 */
export declare function press(scale: Scale): Press;

/**
 * Weighs at once, or not.
 *
 * @param load what is weighed
 */
export declare function weighMaybe(load: number): void | number;

/**
 * Presses a load. If it was pressed before it will return
 * `false`.
 *
 * @param load what is pressed
 */
export declare function pressAgain(load: number): boolean;

/**
 * Uses something in one of two ways.
 *
 * @template {Crate} [Load=Crate]
 *
 * @overload
 * @param {Crate} crate
 */
export declare function use(crate: Crate): void;
