import type { Evidence, Wall } from '../job'
import { meetsBlocking } from './blocking'
import { ERROR_MODEL, FALSE_PER_MM, NAIL_ERRS } from './errorModel'
import { normalCdf, normalPdf } from './normal'
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
  /** How many times this edge of this member was swept: readings of one sweep share part of their error. */
  sweeps?: number
  /** How far the readings of its detector spread on this wall, as a multiple of what the error model says. */
  spread?: number
}

const KINDS: Record<Exclude<Evidence['method'], 'joint'>, Sign['kind']> = {
  'detector-edge': 'detector', 'detector-centre': 'detector', 'magnet': 'magnet', 'probe': 'hole', 'pilot': 'hole',
  'knock': 'knock', 'seen': 'sight', 'outlet': 'box',
}

/** Detector readings nearer than this to one another may be sweeps of one edge, mm. */
const SWEPT_AGAIN = 18

/** Signs with the number of sweeps of each detector reading: those of one edge from one side that stand together. */
function withSweeps(signs: Sign[]): Sign[] {
  const swept = signs.filter(({ kind }) => kind === 'detector').sort((a, b) => a.x - b.x)
  const counts = new Map<Sign, number>()
  swept.forEach((sign, n) => {
    const like = (other: Sign) =>
      other.reading.method === sign.reading.method
      && other.reading.edge === sign.reading.edge
      && other.carriedBy === sign.carriedBy
    let count = 1
    for (let k = n - 1; k >= 0 && sign.x - swept[k]!.x <= SWEPT_AGAIN; k--) if (like(swept[k]!)) count++
    for (let k = n + 1; k < swept.length && swept[k]!.x - sign.x <= SWEPT_AGAIN; k++) if (like(swept[k]!)) count++
    if (count > 1) counts.set(sign, count)
  })
  return signs.map(sign => counts.has(sign) ? { ...sign, sweeps: counts.get(sign)! } : sign)
}

/**
 * The readings of a wall that bear on its framing: not set aside, carried over to the front, and none that may have met
 * blocking.
 */
export function signsOf(wall: Wall): Sign[] {
  return withSweeps(everySign(wall).filter(sign => !meetsBlocking(wall, sign)))
}

/** The same with those that may have met blocking. */
export function everySign({ evidence = [], references }: Pick<Wall, 'evidence' | 'references'>): Sign[] {
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

/** The sources that a sign's place depends on: its reference, and its detector on that side. */
export function sourcesOf({ kind, carriedBy }: Sign): string[] {
  return [
    ...(carriedBy === undefined ? [] : [`reference ${carriedBy}`]),
    ...(kind === 'detector' ? [`detector ${carriedBy === undefined ? 'front' : 'behind'}`] : []),
  ]
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

/**
 * One σ of where a sign points, mm; undefined for one that is anywhere on a face. An edge swept so many times over is
 * not so many witnesses; an edge of several plies lies farther out by what each of them may be wider, and by their
 * gaps.
 */
function sigmaOf({ reading, kind, sweeps = 1, spread = 1 }: Sign, plies: number): number | undefined {
  const sigma = SIGMA[reading.method]
  if (sigma === undefined || kind !== 'detector') return sigma
  // Single members that agree with one another tell nothing of doubled ones, nor that sweeps share nothing.
  const atLeast = Math.max(spread, 1)
  const own = ((plies > 1 ? atLeast : spread) * sigma) ** 2 + (sweeps - 1) * (atLeast * ERROR_MODEL.sweep) ** 2
  return Math.sqrt(own + (reading.edge ? (plies - 1) * ERROR_MODEL.ply ** 2 : 0))
}

/**
 * How well it is known where a member's face ends when a nail or a screw is at it, one σ, mm: of several plies by what
 * they may be wider, too.
 */
const faceEnds = (plies: number) => Math.hypot(ERROR_MODEL.hole, (plies - 1) * ERROR_MODEL.ply)

/** Farther than this from where it points, a sign bears on no member of this width, mm. */
export function bearing(sign: Sign, width: number, plies = 1): number {
  const sigma = sigmaOf(sign, plies)
  return sigma === undefined ? width / 2 + 6 * faceEnds(plies) : 6 * sigma
}

/** How surely a member of this width centred on `centre` lies behind x. */
const covers = (x: number, centre: number, width: number, ends: number) =>
  normalCdf((width / 2 - Math.abs(x - centre)) / ends)

/** Density, for each mm, of a sign that speaks for a member of this width, given where the member's centre is. */
function densityOf(sign: Sign, width: number, plies: number): (centre: number) => number {
  const { reading: { method }, x } = sign
  const ends = faceEnds(plies)
  if (method === 'probe' || method === 'pilot') return centre => covers(x, centre, width, ends) / width
  if (method === 'magnet') {
    const face = Math.max(width - 2 * ERROR_MODEL.screwStrip, 2)
    return centre => covers(x, centre, face, ends) / face
  }
  const [points, sigma] = [pointsTo(sign, width), sigmaOf(sign, plies)!]
  return centre => normalPdf(points - centre, sigma)
}

/** How many members do not run the wall's whole height. */
const ENDS = 0.04

/**
 * How many times likelier a sign is with a member there than with none, by the member's centre: for a sign that
 * speaks for one, a member's reading or a false one against a false one alone; for one that speaks against, the
 * chance of missing what is there.
 *
 * @param width of the whole member, mm
 * @param errs how often a nail is wrong
 */
export function likelihoodRatio(
  sign: Sign,
  width: number,
  errs: number = NAIL_ERRS.usual,
  plies = 1,
): (centre: number) => number {
  const {
    x,
    kind,
    speaksFor,
    atAnotherHeight,
    reading: { method },
  } = sign
  if (speaksFor) {
    const [density, stray] = [
      densityOf(sign, width, plies),
      FALSE_PER_MM[method] * (kind === 'hole' ? errs / NAIL_ERRS.usual : 1),
    ]
    return centre => 1 + density(centre) / stray
  }
  if (kind === 'hole') {
    const wrong = method === 'pilot' && errs === NAIL_ERRS.usual ? NAIL_ERRS.drilled : errs
    const [missed, ends] = [atAnotherHeight ? 1 - ENDS : 1 - wrong, faceEnds(plies)]
    return centre => 1 - missed * covers(x, centre, width, ends)
  }
  return centre => 1 - 0.7 * Math.exp(-0.5 * ((x - centre) / ERROR_MODEL.knock) ** 2)
}

/** How surely a sign was made by a member that is there, and not by something else. */
export function belongs(sign: Sign, centre: number, width: number, plies = 1): number {
  const own = densityOf(sign, width, plies)(centre)
  return own / (own + FALSE_PER_MM[sign.reading.method])
}
