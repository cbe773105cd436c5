/** A keeper. */
export abstract class Keeper {
  /**
   * Makes one.
   * @param name shown
   * @param hidden not seen
   */
  constructor(public name: string, private readonly hidden: Map<string, [number, string]>, extra?: number) {}
  /**
   * Greets.
   * @param who the guest
   */
  greet(this: Keeper, who: string): string { return who; }
  /** Later. @param a one */
  abstract later(a: number, b?: string): void;
  protected inner(@Inject() a: string) {}
  @Input() label = 'x';
}
/** States. */
export enum State { /** Open. */ Open, Shut = 'shut' }
/** Room. */
export namespace Room {
  /** Enters. @param a one */
  export function enter(a: number, b: number): void {}
  function hidden() {}
}
declare global {
  /** Rings. */
  function ring(times: number): void;
}

/** Guards a door. */
export class Guard {
  /**
   * Guards it. All night.
   *
   * @param door which one
   */
  constructor(private _door: string, readonly _lamp: number, _unused: boolean) {}
}
