/** Density of the normal distribution at a distance from its mean, by its σ. */
export function normalPdf(off: number, sigma: number): number {
  return Math.exp(-0.5 * (off / sigma) ** 2) / (sigma * 2.5066282746310002)
}

/** The normal distribution's share below z, by Abramowitz and Stegun 26.2.17, to 1e-7. */
export function normalCdf(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z))
  const tail = normalPdf(z, 1) * t * (0.319381530 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  return z > 0 ? 1 - tail : tail
}

/** The share that a log of odds stands for. */
export const logistic = (logOdds: number) => 1 / (1 + Math.exp(-logOdds))
