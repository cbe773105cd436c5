/**
 * Books a table.
 *
 * @publicApi
 */
export function book(): void {}

/**
 * Cancels a booking.
 *
 * @depricated
 */
export function cancel(): void {}

/** A marker on a crate. Its place is fixed. */
export class Marker {
  /**
   * Makes a marker. It has no width without one.
   */
  constructor(
    readonly name: string,
    /** The left side, in mm. */
    left: number,
    /**
     * The width, in mm.
     */
    width: number | null,
  ) {}

  /** {@inheritDoc Crate.weigh} */
  weigh(): void {}

  /** {@inheritDoc} */
  fold(): void {}

  /**
   * Paints it.
   *
   * @apioption marker.paint
   * @optoin marker.colour
   */
  paint(): void {}
}
