/** A guest. */
export interface Guest {
  (seat: number): string;
  new (name: string): Guest;
  /** Greets. */
  greet?(loud: boolean): void;
  onLeave: (when: Date) => void;
  readonly name: string;
}

/**
 * Called back.
 * @param seat - the seat
 * @param wrong - none
 */
export type Handler = (seat: number, late?: boolean) => void;

/** Finds a guest. */
export function find(name: string): Guest;
export function find(id: number): Guest;
export function find(key: string | number): Guest { return null as any; }

export function isGuest(x: unknown): x is Guest { return true; }
export function assertGuest(x: unknown): asserts x is Guest {}
export async function wait(this: Guest, ms: number): Promise<void> {}
export function fail(): never { throw new Error('x'); }

export declare function ambient(a: string): void;

export enum State { Open, Shut = 2 }
