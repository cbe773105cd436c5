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
