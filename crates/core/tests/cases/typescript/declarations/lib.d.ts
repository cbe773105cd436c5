/** Pours. */
export declare function pour(amount: number): void;
export type * from "./other";
declare function kept(): void;
declare module "cellar" {
  export function open(): void;
}
export declare const limit: number;
