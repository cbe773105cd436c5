import { LoadError, Scale } from "./scale";

/** A scale under a road. */
export class BridgeScale implements Scale {
    weigh(load: number): number {
        return load;
    }

    get tag(): string {
        return "bridge";
    }

    weighTwice(load: number): number {
        return load * 2;
    }

    /**
     * Reads what lies on it. Nothing may move meanwhile.
     *
     * @throws {Error} when it is too heavy
     */
    read(): void {
        throw new LoadError("too heavy");
    }
}
/** A crate. */
export class Crate {
  /**
   * Called when it was moved.
   * @param x To the east, in m.
   * @param y To the north, in m.
   */
  moved(x: number, y: number): void {}
}

/** A small crate. */
export class SmallCrate extends Crate {
  /** @inheritDoc */
  moved(): void {}

  /**
   * Tells whether it may be left.
   * @returns `false` if it is full
   * @returns `true` if it is empty
   */
  isLeft(): boolean {
    return true;
  }
}
