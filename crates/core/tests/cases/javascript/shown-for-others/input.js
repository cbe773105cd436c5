/**
 * Loads the engine.
 *
 * @class
 * @hideconstructor
 */
async function Engine() {
  const it = await load();
  return { it };
}

/** Base. */
class Base {
  /**
   * draw the given tile
   * @param {Renderer} renderer - a renderer object
   * @param {number} x - X coordinate
   */
  drawTile() {
  }

  /**
   * Alias for `weighAll()`.
   *
   * @method
   * @param {Scale} scale - The scale.
   * @return {function(Scale): Promise} resolved when done.
   */
  get weigh() {
    return this.weighAll;
  }

  /**
   * Gets the credits.
   *
   * @param {number} x The X coordinate.
   * @returns {Credit[]} The credits.
   */
  getCredits(x) {
    return undefined;
  }
}

/**
 * Class name for <pre> which is activating it.
 * Wrapped in <span>
 * A (<a>) element.
 */
const NAME = 'x';

const Scene = new Class({
  /**
   * Runs each frame.
   *
   * @param {number} time - The time.
   * @param {number} delta - The delta.
   */
  update: function ()
  {
  },
});
module.exports = { Engine, Base, NAME, Scene };
