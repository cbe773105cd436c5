'use strict';

/** Opens. */
exports.open = function (room) { return room; };

function shut(room) {}

function kept() {}

Room.prototype.enter = function (guest) {};

function Room() {}

module.exports = {
  shut,
  Room,
  /** Counts. */
  count() { return 1; },
  'by-name': function (name) { return name; },
};
