export default function garden(): void {}

export function hall(): void {}
