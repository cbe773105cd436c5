export function pour<T>(wine: T, amount = 2, opts?: { cold: boolean }): string {
  if (amount < 0) throw new RangeError('amount');
  return '';
}
export class Glass {
  constructor(size: number) { this.size = size; }
}

export class Place {
  constructor(rect: string, { load, unit }: Crate) {}
}
