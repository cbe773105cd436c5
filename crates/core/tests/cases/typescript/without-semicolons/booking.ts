/** Books tables, in either order of what is given. */
export interface Book {
  /** Books a table for a party. */
  <Party>(party: Party): (table: number) => boolean
  /**
   * Books a table for a party at once.
   *
   * @param party who comes
   */
  <Party>(party: Party, table: number): boolean
  in: string
}

/** Asks for a table. */
export const ask =
  <Party>(party: Party) =>
  <Table extends number>(table: Table): boolean => {
    let as = party
    return book(as, table)
  }
