var scale = require('scale')

/**
 * Makes a crate with the given `options`.
 *
 * @param {Object} load
 */

var Crate = module.exports = function Crate(options) {
  this.path = '/';
};

/**
 * Weighs all.
 *
 * @param {Object} config what
 */
const Press = (module.exports.Press = function (config) {
  this.x = config
})

/**
 * Tips one.
 */
var tip = exports.tip = tipped = function (crate) {
  function inner() {
    var once = last = function (load) { return load; };
    return once(crate);
  }
  return inner;
}

// What is not given out.
var own = other = function (crate) {
  return crate;
}

const kept = module.exports.kept = { weigh: function (crate) { return crate; } };
