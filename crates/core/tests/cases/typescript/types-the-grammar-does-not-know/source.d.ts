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

/** What can be counted. */
export declare namespace number {
  type crate = 1;
}

/** A press that tells what it gives out. */
export interface Told<
  out crate = unknown,
  in load,
> {
  /** Presses a crate. */
  press(crate: number.crate, load: load): Told<crate, number.crate>;
}
