export class Press {
  /**
   * Weighs it.
   *
   * Is overwritten below.
   * @param {number} load - What lies on it.
   */
  weigh(load) {
    throw new Error('You must overwrite weigh');
  }

  /**
   * Tips it.
   *
   * Is overwritten below.
   * @param {number} load - What lies on it.
   */
  tip(load) {
    throw new Error('Not implemented');
  }

  /**
   * Fills it.
   *
   * Is overwritten below.
   * @param {number} load - What lies on it.
   */
  fill(load) {
    throw new Error('Subclasses must implement fill');
  }

  /**
   * Empties it.
   *
   * Is overwritten below.
   * @param {number} load - What lies on it.
   */
  empty(load) {
    throw new Error('Cannot be emptied');
  }
}
