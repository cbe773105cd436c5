/**
 * A scale of the harbour.
 */
function Scale() {}

/**
 * Weighs a crate and prints the ticket.
 * The ticket stays with the crate.
 */
Scale.weigh = function weigh(crate) {
  throw new RangeError('no scale');
};

module.exports = Scale;
