export function noon(): void {}
