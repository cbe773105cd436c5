/**
 * A table.
 * @typeParam T - what is on it
 * @param seats - how many
 */
export abstract class Table<T> extends Base implements Thing {
  constructor(private readonly seats: number, public name?: string) { super(); }
  /** Lays it. */
  @log
  protected lay(cloth: T): boolean { return true; }
  private hide() {}
  abstract clear(force: boolean): void;
  override toString() { return ''; }
  field = (x: number) => x;
  count = 1;
}

namespace Inside {
  export function seen() {}
  function unseen() {}
}
export = Table;
