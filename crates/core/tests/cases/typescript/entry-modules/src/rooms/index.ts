export { inner as cellar } from "../inner";

export function room(): void {}
