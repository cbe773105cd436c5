// Copyright. All rights reserved.
// License text available at https://crates.test/

/**
 * Typing system for crates.
 */
import { Options } from '../common';

export interface Type<T> {
  name: string;
}

/**
 * Streams.
 *
 * @param model - The model.
 * @param topP - Nucleus sampling.
 * @param topK - Only top.
 * @returns All.
 */
export function stream({ model, timeout, ...settings }: CallSettings & Prompt & {
  /** The model. */
  model: Model;
  timeout?: number;
}): number {
  return 1;
}

/**
 * Returns a section of the crates.
 *
 * @param value The crates to slice.
 * @param start The start.
 * @param end The end.
 */
export function slice(value_: Crates, start?: number, end?: number, { strict }: { strict?: boolean } = {}): Crates {
  const value = value_.slice(start, end);
  return value;
}

/**
 * Appends code.
 * @param [format] Format string
 * @param [formatParams] Format parameters
 * @returns Itself
 */
type Codegen = (format?: string, ...formatParams: any[]) => Codegen;

/** A platform. */
export declare class Platform {
  /**
   * @param platform The platform to use.
   */
  private constructor();

  /**
   * Write an entry.
   *
   * @param {Entry} entry The entry.
   * @param {?Options} [options] Options.
   * @param {Callback} [callback] Called.
   * @returns {Promise<Response>}
   */
  emergency(entry: Entry, options?: Options): Promise<Response>;
  emergency(entry: Entry, options: Options, callback: Callback): void;
  emergency(entry: Entry, callback: Callback): void;

  /**
   * Read.
   * @param key - The key.
   * @param {T} [type] - The type.
   * @param [defaultValue] - A default.
   * @returns the value
   */
  static get<T>(key: string, type: T, defaultValue: T): T;
  static get<T>(key: string, type?: T): T | undefined;
}

/**
 * Uses it.
 * @mode framework
 * @resource Ridge::Crate
 * @notice Better not.
 */
export function use(): void {}
/**
 * Serializes.
 *
 * @param {Array<string>} [keys] Keys.
 * @param {T} [thisArg] The object to use.
 * @return {O|undefined} Object.
 * @template O, T
 */
export function pushSerializeAndPop<O, T>(keys?: Array<string>, thisArg?: T): O | undefined;

/** A source. */
export declare class Canvas {
  /**
   * Sets the coordinates.
   * @method setCoordinates
   * @instance
   * @memberof Canvas
   * @param {Array<number>} coordinates Four
   * @returns {Canvas} Returns itself.
   */
  prepare(): void;

  /**
   * Picks.
   * @returns Undefined since picking is not supported.
   */
  pick(): undefined;

  /**
   * Starts.
   * @return Return value: none.
   */
  start(): void;
}
