import { errorFunction } from 'simple-statistics'

/** Density of the normal distribution at a distance from its mean, by its σ. */
export function normalPdf(off: number, sigma: number): number {
  return Math.exp(-0.5 * (off / sigma) ** 2) / (sigma * 2.5066282746310002)
}

/** The normal distribution's share below z, to 1e-7. */
export const normalCdf = (z: number): number => (1 + errorFunction(z / Math.SQRT2)) / 2

/** The probability that belongs to a logarithm of odds: 1 / (1 + e^−logOdds). */
export const logistic = (logOdds: number) => 1 / (1 + Math.exp(-logOdds))
