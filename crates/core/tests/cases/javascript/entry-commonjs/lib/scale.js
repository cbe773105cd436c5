exports.weigh = function (load) {
  return load;
};

exports.tare = function (load) {
  return load;
};
