function kept(): void {}

export function other(): void {}

export { kept as inner };
