export function findChromium(): string | undefined
export const CHROMIUM_FLAGS: string[]
