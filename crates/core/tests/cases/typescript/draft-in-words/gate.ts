export class Gate {
  constructor(private name: string) {}

  canPass(tag: string): boolean {
    return tag.length > 0;
  }

  open(times: number): void {
    if (times === 0) {
      throw new RangeError("times");
    }
  }

  onTagRead(tag: string): void {}
}

export function listGates(names: string[]): Gate[] {
  if (names.length === 0) {
    throw new Error("none");
  }
  return [];
}
