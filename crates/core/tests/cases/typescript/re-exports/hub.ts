function open(a: string) {}
/** Shuts. @param b what */
function shut(a: string) {}
class Hidden { go(a: string) {} }
export { open, shut as close };
export * from './other';
export type { Crate } from './crate';
export default shut;
