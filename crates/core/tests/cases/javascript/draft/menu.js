export function order(dish, count = 1, { hot }, ...extras) {
  if (count < 1) throw new RangeError('count');
  return dish;
}

export const clear = () => {};

exports.pack = exports.packAll = function (crates) {
  return crates;
};
