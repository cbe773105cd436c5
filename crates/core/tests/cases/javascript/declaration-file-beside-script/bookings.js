export function seats(table, hour) {
  return table + hour;
}

/**
 * Books a table. The hour must be free.
 *
 * @param {number} table its number
 */
export function book(table, hour) {
  return table + hour;
}

export function cancel(table) {
  return table;
}
