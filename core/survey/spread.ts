import { DOUBLE_WIDTH, ERROR_MODEL } from './errorModel'
import { normalPdf } from './normal'
import { sourcesOf, type Sign } from './sign'

/** The edges of one member that one detector read from one side, mm from wall left. */
interface Edges {
  left: number[]
  right: number[]
}

/** What is looked at as a multiple of the error model's σ, and what is expected before anything was read. */
const SCALES = Array.from({ length: 61 }, (_, n) => 0.25 * 1.05 ** n)
const EXPECTED_SIGMA = 0.45
/** So often a difference of two edges is not of one member, and it is anywhere in so many mm then. */
const UNRELATED = { share: 0.05, over: 60 } as const
/** How much of the variance of a sweep may be its own, and not shared with others of its edge. */
const OWN_SHARES = [0.01, 0.05, 0.15, 0.3, 0.5, 0.75, 1]
/** How well a place is read off the tape, one σ, mm. */
const READ = 0.5
/** How much the faces of sawn studs differ from one another, one σ, mm. */
const SAWN = 0.7

const mean = (values: number[]) => values.reduce((a, b) => a + b, 0) / values.length

/** The edges of each member that is no doubled one, of the readings of one detector. */
export function edgesOf(signs: Sign[], said: number): Edges[] {
  const edges = signs
    .filter(({ reading, kind }) => kind === 'detector' && reading.edge !== undefined)
    .sort((a, b) => a.x - b.x)
  const found: Edges[] = []
  for (let n = 0; n < edges.length;) {
    const from = edges[n]!.x
    const own: Sign[] = []
    while (n < edges.length && edges[n]!.x - from < DOUBLE_WIDTH * said) own.push(edges[n++]!)
    const at = (edge: 'left' | 'right') => own.filter(({ reading }) => reading.edge === edge).map(({ x }) => x)
    found.push({ left: at('left'), right: at('right') })
  }
  return found
}

/** How far apart the two edges of each member are, of those of which both were read, each the mean of its sweeps. */
export const widthsIn = (edges: Edges[], said: number): { width: number, sweeps: [number, number] }[] =>
  edges.flatMap(({ left, right }) => {
    const width = left.length > 0 && right.length > 0 ? mean(right) - mean(left) : 0
    return width > said / 2 ? [{ width, sweeps: [left.length, right.length] as [number, number] }] : []
  })

/** Variance of the mean of so many sweeps of one edge, of which all share a part, mm². */
const sweptVariance = (sweeps: number) =>
  (ERROR_MODEL.detectorEdge ** 2 + (sweeps - 1) * ERROR_MODEL.sweep ** 2) / sweeps

/** A difference that would be 0 without errors: what it varies by as the error model has it, and how much it counts. */
interface Residual {
  off: number
  variance: number
  counts: number
  besides: number
}

/** How far widths are from their own mean: what all share of one detector is no spread. */
function widthResiduals(edges: Edges[], said: number): Residual[] {
  const widths = widthsIn(edges, said)
  const centre = mean(widths.map(({ width }) => width))
  const counts = (widths.length - 1) / widths.length
  return counts <= 0
    ? []
    : widths.map(({ width, sweeps: [left, right] }) => ({
        off: (width - centre) / Math.sqrt(counts),
        counts,
        variance: sweptVariance(left) + sweptVariance(right),
        besides: SAWN ** 2,
      }))
}

/** How far sweeps of one edge are from their mean. */
const sweepResiduals = (edges: Edges[]): Residual[] =>
  edges
    .flatMap(({ left, right }) => [left, right])
    .filter(({ length }) => length > 1)
    .flatMap((sweeps) => {
      const counts = (sweeps.length - 1) / sweeps.length
      const variance = ERROR_MODEL.detectorEdge ** 2
      return sweeps.map(x => ({ off: (x - mean(sweeps)) / Math.sqrt(counts), counts, variance, besides: READ ** 2 }))
    })

/** log of how likely differences are where readings spread by a multiple of what the error model says. */
const logLikelihood = (residuals: Residual[], scale: number): number =>
  residuals.reduce((sum, { off, variance, counts, besides }) => {
    const own = normalPdf(off, Math.sqrt(scale ** 2 * variance + besides))
    return sum + counts * Math.log((1 - UNRELATED.share) * own + UNRELATED.share / UNRELATED.over)
  }, 0)

/** Powers of e, divided by the greatest: what they are divided by too. */
function powers(logs: number[]): { top: number, weights: number[] } {
  const top = Math.max(...logs)
  return { top, weights: logs.map(log => Math.exp(log - top)) }
}

/**
 * How far the readings of one detector spread on this wall, as a multiple of what the error model takes them for: from
 * how well the widths of its members agree, and its sweeps of one edge. A careful surveyor’s readings are worth more,
 * a careless one’s less. Where nothing tells, 1.
 *
 * The mean of the multiple’s posterior on a grid, with a log-normal prior of median 1, so that few readings leave it
 * wide. Sweeps of one edge share a part of their error that is not known: that they agree says less than that they do
 * not.
 */
export function spreadOf(signs: Sign[], said: number): number {
  const edges = edgesOf(signs, said)
  const [widths, sweeps] = [widthResiduals(edges, said), sweepResiduals(edges)]
  if (widths.length + sweeps.length === 0) return 1
  const ofSweeps = (scale: number) => {
    const { top, weights } = powers(OWN_SHARES.map(share => logLikelihood(sweeps, scale * Math.sqrt(share))))
    return top + Math.log(mean(weights))
  }
  const { weights } = powers(
    SCALES.map(
      scale => -0.5 * (Math.log(scale) / EXPECTED_SIGMA) ** 2 + logLikelihood(widths, scale) + ofSweeps(scale),
    ),
  )
  const total = weights.reduce((a, b) => a + b)
  return SCALES.reduce((sum, scale, n) => sum + scale * weights[n]!, 0) / total
}

/** Signs of which each says how far the readings of its detector spread on this wall. */
export function withSpread(signs: Sign[], said: number): Sign[] {
  const detected = signs.filter(({ kind }) => kind === 'detector')
  const sourceOf = (sign: Sign) => sourcesOf(sign).at(-1)!
  const spreads = new Map(
    [...new Set(detected.map(sourceOf))].map(source => [
      source,
      spreadOf(
        detected.filter(sign => sourceOf(sign) === source),
        said,
      ),
    ]),
  )
  return signs.map(sign => (sign.kind === 'detector' ? { ...sign, spread: spreads.get(sourceOf(sign))! } : sign))
}
