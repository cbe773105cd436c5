import type {Crate} from './crates';

type Unit = 'kg' | 't';

/**
 * Weighs a crate. Its pallet is taken off.
 *
 * @param {Crate} box - What to weigh.
 * @param {string} unit - What to count in.
 * @returns {number} The load.
 */
export function weigh(crate: Crate, unit?: Unit = 'kg'): number {
    return crate.load;
}

export class Scale {
    /**
     * Stows a crate. Where there is room.
     *
     * @param {Crate} crate - What to stow.
     * @param {number} bay - Where.
     */
    stow(crate: Crate, bay: number): Promise<void> {
        if (bay < 0) {
            throw new RangeError('bay');
        }
    }
}
