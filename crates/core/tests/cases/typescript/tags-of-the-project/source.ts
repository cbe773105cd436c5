/**
 * Books a table.
 *
 * @publicApi
 */
export function book(): void {}

/**
 * Cancels a booking.
 *
 * @depricated
 */
export function cancel(): void {}
