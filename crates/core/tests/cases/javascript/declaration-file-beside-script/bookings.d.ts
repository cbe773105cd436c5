/**
 * Tells the free seats. Tables in the garden count in summer.
 *
 * @param table - its number
 * @param hour - from 0 to 23
 */
export function seats(table: number, hour: number): number;

/**
 * Books a table. The hour must be free.
 *
 * @param hour - from 0 to 23
 * @returns the booking
 */
export function book(table: number, hour: number): number;

export function cancel(table: number): number;
