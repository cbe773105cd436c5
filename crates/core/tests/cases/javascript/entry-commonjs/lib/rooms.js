function room(hour) {
  return hour;
}

module.exports = { room };
