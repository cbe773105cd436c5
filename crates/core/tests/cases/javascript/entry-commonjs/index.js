const { weigh } = require("./lib/scale");

module.exports = { weigh, rooms: require("./lib/rooms") };
