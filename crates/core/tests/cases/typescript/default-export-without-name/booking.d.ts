/**
 * Books a table.
 *
 * @param using the guest's card
 */
export default function (using: string, { load }?: Crate): import("./table").Table[];
