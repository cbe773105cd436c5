/** Books a table. */
function book(guest, { seats, time = 12 }, ...notes) {
  if (seats < 1) throw new RangeError('seats');
  return { guest, notes };
}

/** Cancels. */
const cancel = async (id) => { await drop(id); };

function helper() {}

class Table {
  #seats = 4;
  /** Takes a seat. @param {number} count how many */
  sit(count) { return count; }
  get free() { return 1; }
  set free(v) {}
  static of(n) { return new Table(n); }
  leave = () => {};
  #hide() {}
}

export { book, cancel as drop, Table };
export default class {}
