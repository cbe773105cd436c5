/** A crate. */
export interface Crate {
  /** How it is read. */
  reader: import("@press/scales").$Reader<any, any>;
  mark(...names: (typeof undefined | string)[]): void;
}

declare module "press:scales" {
  global {
    interface Scale {
      /** Weighs. */
      weigh(): number;
    }
  }
}
