import { ERROR_MODEL } from './errorModel'
import type { Sign } from './sign'
import { edgesOf, widthsIn } from './spread'

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

/**
 * The common width of a wall's members: edges measured apart tell it, as far as the error that all readings of one
 * detector share lets them. Where it disagrees with what was said, members are taken as the edges tell; what is
 * fixed into them is kept within the lesser of the two until a person has looked.
 */
export function commonWidth(signs: Sign[], said: number): CommonWidth {
  const widths = widthsIn(edgesOf(signs, said), said).map(({ width }) => width)
  if (widths.length < FEWEST) return { said, believed: said, sure: said, differs: false }
  const edges = signs.filter(({ kind }) => kind === 'detector')
  const spread = edges.reduce((most, { spread = 1 }) => Math.max(most, spread), 0)
  const sigma = spread * ERROR_MODEL.detectorEdge
  const variance = (Math.SQRT2 * sigma) ** 2 * Math.PI / 2 / widths.length + ERROR_MODEL.instrument ** 2
  const told = median(widths)
  const believed = (told / variance + said / SAID_SIGMA ** 2) / (1 / variance + 1 / SAID_SIGMA ** 2)
  const differs
    = Math.abs(told - said) > TELLS && Math.abs(told - said) > 1.96 * Math.sqrt(variance - ERROR_MODEL.instrument ** 2)
  return differs
    ? { said, believed, sure: Math.min(said, believed), differs }
    : { said, believed: said, sure: said, differs }
}
