/** Books. @param {string} a guest */
function book(a, b) {}
/** Cancels. */
const cancel = (id) => {};
function hidden() {}
class Table {
  seat(guest) {}
}
export { book, cancel as undo, Table as default };
