import type { Evidence, Wall } from '../job'
import { ERROR_MODEL, FALSE_PER_MM } from './errorModel'
import { carryOver, referenceOf } from './transfer'

/** A reading as it bears on the framing: where it is on the front face, and what it speaks for. */
export interface Sign {
  reading: Evidence
  x: number
  /** Speaks for a member, or against one. */
  speaksFor: boolean
  /** Detector, magnet, hole, knock, sight, box: two signs of one kind share their errors. */
  kind: 'detector' | 'magnet' | 'hole' | 'knock' | 'sight' | 'box'
  /** Met nothing, but at another height than all that speaks for a member there. */
  atAnotherHeight?: boolean
  /** Carried over from the far side by this reference. */
  carriedBy?: string
}

const KINDS: Record<Exclude<Evidence['method'], 'joint'>, Sign['kind']> = {
  'detector-edge': 'detector', 'detector-centre': 'detector', 'magnet': 'magnet', 'probe': 'hole', 'pilot': 'hole',
  'knock': 'knock', 'seen': 'sight', 'outlet': 'box',
}

/** The readings of a wall that bear on its framing: not set aside, and carried over to the front. */
export function signsOf({ evidence = [], references }: Wall): Sign[] {
  return evidence.flatMap((reading): Sign[] => {
    if (reading.method === 'joint' || reading.setAside !== undefined) return []
    const speaksFor = reading.method === 'knock' ? reading.dull !== false : reading.hit !== false
    const sign = { reading, x: reading.x, speaksFor, kind: KINDS[reading.method] }
    if (reading.side !== 'back') return [sign]
    const reference = referenceOf(reading, references)
    if (!reference) return []
    const mirrored = reading.edge && { ...reading, edge: reading.edge === 'left' ? 'right' as const : 'left' as const }
    return [{ ...sign, reading: mirrored ?? reading, x: carryOver(reference, reading.x), carriedBy: reference.id }]
  })
}

/** Where a sign puts the centre of a member of this width, mm. */
export function pointsTo({ reading, x }: Sign, width: number): number {
  if (reading.method !== 'detector-edge') return x
  return reading.edge === 'left' ? x + width / 2 : x - width / 2
}

const SIGMA: Partial<Record<Evidence['method'], number>> = {
  'detector-edge': ERROR_MODEL.detectorEdge, 'detector-centre': ERROR_MODEL.detectorCentre,
  'seen': ERROR_MODEL.seen, 'knock': ERROR_MODEL.knock, 'outlet': ERROR_MODEL.outlet,
}

/** Farther than this from where it points, a sign bears on no member of this width, mm. */
export function bearing({ reading }: Sign, width: number): number {
  const sigma = SIGMA[reading.method]
  return sigma === undefined ? width / 2 + 6 * ERROR_MODEL.hole : 6 * sigma
}

const normal = (off: number, sigma: number) => Math.exp(-0.5 * (off / sigma) ** 2) / (sigma * 2.5066282746310002)

/** The normal distribution's share below z, by Abramowitz and Stegun 26.2.17, to 1e-7. */
export function below(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z))
  const tail = normal(z, 1) * t * (0.319381530 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  return z > 0 ? 1 - tail : tail
}

/** How surely a member of this width centred on `centre` lies behind x. */
const covers = (x: number, centre: number, width: number) => below((width / 2 - Math.abs(x - centre)) / ERROR_MODEL.hole)

/** Density, for each mm, of a sign that speaks for a member, given where the member is. */
function density(sign: Sign, centre: number, width: number): number {
  const { reading, x } = sign
  switch (reading.method) {
    case 'magnet': {
      const strip = Math.max(width / 2 - ERROR_MODEL.screwStrip, 1)
      return below((strip - Math.abs(x - centre)) / ERROR_MODEL.hole) / (2 * strip)
    }
    case 'probe':
    case 'pilot': return covers(x, centre, width) / width
    default: return normal(pointsTo(sign, width) - centre, SIGMA[reading.method]!)
  }
}

/** How many members do not run the wall's whole height. */
const ENDS = 0.04

/**
 * How many times likelier a sign is with a member there than with none: for a sign that speaks for
 * one, a member's reading or a false one against a false one alone; for one that speaks against,
 * the chance of missing what is there.
 */
export function likelier(sign: Sign, centre: number, width: number): number {
  if (sign.speaksFor) return 1 + density(sign, centre, width) / FALSE_PER_MM[sign.reading.method]
  if (sign.kind === 'hole') return 1 - (sign.atAnotherHeight ? 1 - ENDS : 0.999) * covers(sign.x, centre, width)
  return 1 - 0.7 * Math.exp(-0.5 * ((sign.x - centre) / ERROR_MODEL.knock) ** 2)
}

/** How surely a sign was made by a member that is there, and not by something else. */
export function belongs(sign: Sign, centre: number, width: number): number {
  const own = density(sign, centre, width)
  return own / (own + FALSE_PER_MM[sign.reading.method])
}
