/**
 * Books a table.
 *
 * @param {number} table the table
 * @param {string} guest who comes
 * @returns {boolean} whether it was free
 */
export function book(table: number, guest: string): boolean { return table > guest.length; }

export function free(table: number): boolean { return table > 1; }
