export function unused(): void {}
