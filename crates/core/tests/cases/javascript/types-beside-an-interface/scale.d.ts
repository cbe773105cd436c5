/** A scale of the harbour. */
export interface Scale {
  /** Weighs a crate. */
  weigh(crate: string): number;
}
