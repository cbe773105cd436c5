import { Book as Booking } from "./book.js";
import table from "./table";

export { weigh as weighCrate } from "./scale";
export * from "./rooms";
export * as hours from "./hours";
export { Booking, table };

export function open(): void {}
