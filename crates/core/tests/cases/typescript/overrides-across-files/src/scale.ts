/** What weighs. Every scale can be read. */
export interface Scale {
    /** Weighs a load. */
    weigh(load: number): number;
    /** The tag of the scale. */
    readonly tag: string;
}

/** Thrown when a load is too heavy. */
export class LoadError extends Error {}
