/** Books a table. @param a guest */
declare function book(a: string, b: number): boolean;
/** The house. */
declare const house: { name: string };
declare module 'till' {
  /** Opens. */
  export function open(who: string): void;
  export default class Till {
    /** Counts. @param c coins */
    count(c: number, d: number): number;
    private hidden();
  }
}
export = book;
