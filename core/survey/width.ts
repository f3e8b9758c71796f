import { DOUBLE_WIDTH, ERROR_MODEL } from './errorModel'
import type { Sign } from './sign'

/** How wide a wall's common members are, mm. */
export interface CommonWidth {
  /** As the surveyor gave it, or as is usual. */
  said: number
  /** As the edges measured apart tell it, together with what was said. */
  believed: number
  /** What may be counted on when something is fixed into a member: the lesser of the two. */
  sure: number
  /** Whether the edges disagree with what was said. */
  differs: boolean
}

/**
 * A common width differs from what was said by no more than this without a word, mm, and from what is usual by so much,
 * one σ.
 */
const TELLS = 3
const SAID_SIGMA = 4
/** Fewer members with both edges read tell nothing of the common width. */
const FEWEST = 3

const median = (values: number[]) => {
  const sorted = [...values].sort((a, b) => a - b)
  const half = sorted.length >> 1
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2
}

const mean = (values: number[]) => values.reduce((a, b) => a + b, 0) / values.length

/**
 * How far the left edge is from the right one of each member that is no doubled one and both of whose edges were read,
 * each the mean of all its sweeps.
 */
function apart(signs: Sign[], said: number): number[] {
  const edges = signs.filter(({ reading, kind }) => kind === 'detector' && reading.edge !== undefined).sort((a, b) => a.x - b.x)
  const widths: number[] = []
  for (let n = 0; n < edges.length;) {
    const from = edges[n]!.x
    const own: Sign[] = []
    while (n < edges.length && edges[n]!.x - from < DOUBLE_WIDTH * said) own.push(edges[n++]!)
    const [left, right] = (['left', 'right'] as const).map(edge => own.filter(({ reading }) => reading.edge === edge).map(({ x }) => x)) as [number[], number[]]
    if (left.length > 0 && right.length > 0 && mean(right) - mean(left) > said / 2) widths.push(mean(right) - mean(left))
  }
  return widths
}

/**
 * The common width of a wall's members: edges measured apart tell it, as far as the error that all readings of one
 * detector share lets them. Where it disagrees with what was said, members are taken as the edges tell; what is
 * fixed into them is kept within the lesser of the two until a person has looked.
 */
export function commonWidth(signs: Sign[], said: number): CommonWidth {
  const widths = apart(signs, said)
  if (widths.length < FEWEST) return { said, believed: said, sure: said, differs: false }
  const variance = (Math.SQRT2 * ERROR_MODEL.detectorEdge) ** 2 * Math.PI / 2 / widths.length + ERROR_MODEL.instrument ** 2
  const told = median(widths)
  const believed = (told / variance + said / SAID_SIGMA ** 2) / (1 / variance + 1 / SAID_SIGMA ** 2)
  const differs = Math.abs(told - said) > TELLS && Math.abs(told - said) > 1.96 * Math.sqrt(variance - ERROR_MODEL.instrument ** 2)
  return differs ? { said, believed, sure: Math.min(said, believed), differs } : { said, believed: said, sure: said, differs }
}
