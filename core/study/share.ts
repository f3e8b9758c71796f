/** A share of trials with its 95 % interval (Wilson). */
export interface Share { p: number, low: number, high: number }

const Z = 1.959964

/**
 * The share of so many trials that came out well, with the interval in which the true one lies 95 times of a hundred
 * (Wilson, 1927).
 *
 * @example
 * wilson(50, 100) // { p: 0.5, low: 0.404, high: 0.596 }, rounded
 */
export function wilson(well: number, trials: number): Share {
  const p = well / trials
  const square = Z * Z
  const middle = (p + square / (2 * trials)) / (1 + square / trials)
  const half = Z / (1 + square / trials) * Math.sqrt(p * (1 - p) / trials + square / (4 * trials * trials))
  return { p, low: Math.max(0, middle - half), high: Math.min(1, middle + half) }
}
