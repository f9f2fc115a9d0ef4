export function findChromium(): string | undefined;
export function ensureChromium(): string;
