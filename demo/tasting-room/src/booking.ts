/** A guest of the tasting room. */
export interface Guest {
  /** As they wish to be called. */
  name: string;
  /** How many come. */
  party: number;
  /** Called when the table is ready. */
  notify?(minutes: number): void;
}

/**
 * What happens when a table is free.
 *
 * @param guest - who waited
 * @param table - which table
 */
export type TableReady = (guest: Guest, table: number) => void;

/** The room is full. */
export class FullHouse extends Error {}

/** Books tables for an evening. */
export class Evening {
  private readonly guests: Guest[] = [];

  /**
   * Opens an evening.
   *
   * @param seats - how many can sit
   * @param opens - the hour, from 0 to 23
   */
  constructor(private readonly seats: number, private readonly opens = 18) {}

  /**
   * Books a table. Guests without a name are asked again.
   *
   * @param guest - who comes
   * @param hour - when they come
   * @returns the number of the table
   * @throws {FullHouse} when no seat is left
   */
  book(guest: Guest, at: number): number {
    if (this.guests.length >= this.seats) {
      throw new FullHouse('full');
    }
    if (at < this.opens) {
      throw new RangeError('closed');
    }
    this.guests.push(guest);
    return this.guests.length;
  }

  /**
   * Cancels a booking. Nothing happens to strangers.
   *
   * @param guest - who does not come
   * @returns nothing of use
   */
  cancel(guest: Guest): void {
    this.guests.splice(this.guests.indexOf(guest), 1);
  }

  /** Tells whether a seat is left. */
  get free(): boolean {
    return this.guests.length < this.seats;
  }

  next() {
    return this.guests.shift();
  }
}

/**
 * Finds an evening by its date.
 *
 * @param day - the date
 */
export function find(day: Date): Evening | undefined;
export function find(key: string): Evening | undefined;
export function find(key: Date | string): Evening | undefined {
  return undefined;
}
