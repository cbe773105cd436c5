/**
 * Books a table.
 *
 * @param table the table
 * @param guest who comes
 * @returns whether it was free
 */
export function book(table, guest) { return table > guest; }

export function free(table, seats = 2) { return table > seats; }
