exports.unused = function (load) {
  return load;
};
