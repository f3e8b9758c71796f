/** A figure of few cases, to the tenth. */
export const tenth = (value: number): number => Math.round(value * 10) / 10

/** So many cases, in words. */
export const cases = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`

/** How high a chart of so many bars or pairs of bars is, px. */
export const heightOf = (rows: number): number => 90 + 46 * rows
