/**
 * Opens a barn. Slowly.
 * @param {object} options - How.
 * @param {number} [options.width=3] - How wide.
 * @param {string[]} options.names - The names.
 * @param {object[]} options.crates - The crates.
 * @param {string} options.crates[].name - The name of each.
 * @returns {Promise<number>} The width.
 */
export async function open({ width = 3, names, crates } = {}) {
  return width;
}

/**
 * Closes a barn. Slowly.
 * @param {...number} numbers Which.
 * @returns {void}
 */
export const close = (...numbers) => {
  numbers.forEach(console.log);
};

/**
 * Walks. Slowly.
 * @param {number} n How far.
 * @yields {number} Each step.
 */
export function* walk(n) {
  for (let i = 0; i < n; i++) yield i;
}

/**
 * A barn. Big.
 * @template T
 */
export class Barn {
  /** @type {number} */
  #width = 3;

  /**
   * Makes one. Empty.
   * @param {number} width How wide.
   * @throws {RangeError} If it is negative.
   */
  constructor(width) {
    if (width < 0) throw new RangeError('negative');
    this.#width = width;
  }

  /** The width. In m. */
  get width() {
    return this.#width;
  }

  /**
   * The width. In m.
   * @param {number} value How wide.
   */
  set width(value) {
    this.#width = value;
  }

  /**
   * Finds crates. In order.
   * @param {(crate: T, at: number) => boolean} test Which.
   * @param {T} [thisArg] What `this` is.
   * @returns {T[]} Those.
   */
  static find(test, thisArg = undefined) {
    return [];
  }

  /**
   * Reads. Slowly.
   * @param {string} path Which.
   * @param {(err: Error | null, data?: string) => void} callback What is called.
   */
  async read(path, callback) {
    callback(null, path);
  }
}

/**
 * Adds. Slowly.
 * @param {number} a One.
 * @param {number} b Another.
 * @returns {number} The sum.
 */
export default function (a, b) {
  return a + b;
}

/**
 * Curried. Twice.
 * @param {number} a One.
 * @returns {(b: number) => number} What adds it.
 */
export const add = (a) => (b) => a + b;

/**
 * Sums. All.
 * @param {number} first One.
 * @param {number[]} rest Others.
 * @returns {number} The sum.
 */
export const sum = ([first, ...rest]) => rest.reduce((a, b) => a + b, first);

/** What listens to a barn. */
export const listener = {
  /**
   * Is told of each crate. At once.
   * @param {Barn} barn - Which.
   * @param {string} name - Of the crate.
   * @returns {boolean} Whether it is wanted.
   */
  told: function () {},
};

/**
 * Asks whether it is closed. Surely.
 * @function
 * @name matchers#toBeClosed
 * @param {string} gate - Which gate.
 */
export function toBeClosed(util) {
  return { compare: util };
}
