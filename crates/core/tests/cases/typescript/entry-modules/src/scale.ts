export function weigh(load: number): number {
  return load;
}

export function tare(load: number): number {
  return load;
}
