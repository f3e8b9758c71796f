import { ERROR_MODEL } from './errorModel'
import { PosteriorGrid, type Belief, type Expectation } from './posterior'
import { normalPdf } from './normal'
import { pointsTo, type Sign } from './sign'
import { INSIDE, isNailed, NAILED_HEIGHT } from './stretches'

/** How a member stands out of plumb: x = centre + slope · (y − at); `sd` of the slope, mm of x a mm of height. */
export interface Lean { slope: number, sd: number, at: number }

/**
 * How a member leans, the signs near it that are its own where it does, and its signs and those against it as they
 * would be, were it plumb.
 */
export interface Leaning { lean: Lean, joined: Sign[], signs: Sign[], against: Sign[] }

/** The signs of a member and those nearby that speak against one, and what they say of it, were it plumb; mm. */
interface Group { signs: Sign[], against: Sign[], belief: Belief, width: number }

/** One σ of how far members stand out of plumb, mm of x for each mm of height. */
const PLUMB = 0.003
/** Slopes that are tried, and how finely. */
const [STEEPEST, STEP] = [0.015, 0.0015]
/** How far beyond a face a sign at another height may be and still be the member’s, leaning, mm. */
const BESIDE = 30
/**
 * Signs at two heights that are farther apart than this, mm, point to two places where their means differ by so many
 * of their σ.
 */
const TWO_HEIGHTS = { apart: 300, sigmas: 2 } as const
const COARSE = 2

/** A member where it is at a height: its centre, and how well that is known, mm. */
export function memberAt<M extends { centre: number, sd: number, lean?: Lean }>(member: M, y: number): M {
  const { lean, centre, sd } = member
  return lean
    ? { ...member, centre: centre + lean.slope * (y - lean.at), sd: Math.hypot(sd, lean.sd * (y - lean.at)) }
    : member
}

/**
 * About how well one sign tells where a member is, one σ, mm: of a nail that met it beside one that did not, as well as
 * the face between them is known.
 */
function sigmaOf({ x, kind, reading: { method, y }, spread = 1 }: Sign, width: number, against: Sign[]): number {
  const faces
    = kind === 'hole'
      ? against
          .filter(miss => miss.kind === 'hole' && Math.abs(miss.reading.y - y) <= NAILED_HEIGHT)
          .map(miss => Math.abs(miss.x - x))
      : []
  if (faces.length > 0) return Math.hypot(Math.min(width, ...faces) / Math.sqrt(12), ERROR_MODEL.hole)
  if (method === 'detector-edge') return spread * ERROR_MODEL.detectorEdge
  if (method === 'detector-centre') return spread * ERROR_MODEL.detectorCentre
  if (method === 'seen') return ERROR_MODEL.seen
  return width / Math.sqrt(12)
}

const strong = ({ kind }: Sign) => kind !== 'knock' && kind !== 'box'
const heightOf = ({ reading }: Sign) => reading.y

/** Signs moved to where they would be at one height, had the member this slope. */
export const plumbed = (signs: Sign[], { slope, at }: Pick<Lean, 'slope' | 'at'>): Sign[] =>
  signs.map(sign => ({ ...sign, x: sign.x - slope * (heightOf(sign) - at), atAnotherHeight: undefined } as Sign))

/** What is known of a lean while its signs agree: how high they were read, and what they leave open. */
function plumb(signs: Sign[], against: Sign[], width: number): Lean {
  const weights = signs.map(sign => sigmaOf(sign, width, against) ** -2)
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  const at = signs.reduce((sum, sign, n) => sum + weights[n]! * heightOf(sign), 0) / total
  const informs = signs.reduce((sum, sign, n) => sum + weights[n]! * (heightOf(sign) - at) ** 2, PLUMB ** -2)
  return { slope: 0, sd: informs ** -0.5, at }
}

/** Whether signs disagree of a member’s place by their heights. */
function disagree({ signs, against, width, belief: { centre, doubled } }: Group, at: number): boolean {
  const inside = (sign: Sign) => sign.kind === 'hole' && Math.abs(sign.x - centre) < width / 2 - INSIDE
  const heights = signs.map(heightOf)
  const apart = Math.max(...heights) - Math.min(...heights)
  if (
    against.some(
      sign => inside(sign) && signs.every(other => Math.abs(heightOf(other) - heightOf(sign)) > NAILED_HEIGHT),
    )
  )
    return true
  if (apart < TWO_HEIGHTS.apart) return false
  if (doubled > 0.5) return true
  const mean = (some: Sign[]) => {
    const weights = some.map(sign => sigmaOf(sign, width, against) ** -2)
    const total = weights.reduce((sum, weight) => sum + weight, 0)
    return {
      x: some.reduce((sum, sign, n) => sum + weights[n]! * pointsTo(sign, width), 0) / total,
      variance: 1 / total,
    }
  }
  const [low, high] = [
    mean(signs.filter(sign => heightOf(sign) < at)),
    mean(signs.filter(sign => heightOf(sign) >= at)),
  ]
  return Math.abs(low.x - high.x) > TWO_HEIGHTS.sigmas * Math.sqrt(low.variance + high.variance)
}

const logOf = (weights: number[]) => {
  const most = Math.max(...weights)
  return most + Math.log(weights.reduce((sum, weight) => sum + Math.exp(weight - most), 0))
}

/**
 * How a member leans, from its signs at several heights. Slopes are normal with 3 mm/m; one is taken on where the
 * signs, with those that were read beside its face at another height, are likelier of a member that leans than of one
 * that is plumb, or ends. Undefined for a member of which no strong sign is at hand.
 *
 * @param beside signs of no other member, near its faces at other heights
 * @param flat what is expected where nothing is known
 * @returns the lean, and which of `beside` are the member’s where it leans
 */
export function leanOf(group: Group, beside: Sign[], flat: Expectation): Leaning | undefined {
  const { signs, against, belief, width } = group
  const own = signs.filter(strong)
  if (own.length === 0) return undefined
  const lean = plumb(own, against, width)
  const asPlumb = { lean, joined: [], signs, against }
  const near = against.filter(({ x }) => Math.abs(x - belief.centre) < width + BESIDE)
  const off = beside.filter(
    sign =>
      strong(sign)
      && Math.abs(pointsTo(sign, width) - belief.centre) < width / 2 + BESIDE
      && Math.abs(heightOf(sign) - lean.at) > NAILED_HEIGHT,
  )
  if (off.length === 0 && !disagree({ signs: own, against: near, belief, width }, lean.at)) return asPlumb
  const all = [...own, ...off]
  const odds = (some: Sign[], others: Sign[]) =>
    new PosteriorGrid(some, others, width, COARSE).expecting(flat).outline(0, some.length).logOdds
  const slopes = Array.from(
    { length: 2 * Math.round(STEEPEST / STEP) + 1 },
    (_, n) => (n - Math.round(STEEPEST / STEP)) * STEP,
  )
  const weights = slopes.map(
    slope =>
      odds(plumbed(all, { slope, at: lean.at }), plumbed(near, { slope, at: lean.at }))
      + Math.log(normalPdf(slope, PLUMB) * STEP),
  )
  const leaning = logOf(weights)
  if (!(leaning > odds(own, near))) return asPlumb
  const shares = weights.map(weight => Math.exp(weight - leaning))
  const slope = slopes.reduce((sum, each, n) => sum + shares[n]! * each, 0)
  const sd = Math.sqrt(slopes.reduce((sum, each, n) => sum + shares[n]! * (each - slope) ** 2, STEP ** 2 / 12))
  // Where it may as well lean to the other side, nothing is known of it but that.
  if (Math.abs(slope) < sd) return asPlumb
  const found = { slope, sd, at: lean.at }
  return { lean: found, joined: off, signs: plumbed([...signs, ...off], found), against: plumbed(against, found) }
}

/**
 * How far a member would at least have to lean for a nail or bit to miss it, from the nearest height at which it was
 * met: mm of x for each mm of height; undefined where it was met at no other height.
 */
export function leanToMiss(
  miss: { x: number, y: number }, met: Sign[], { centre, width }: { centre: number, width: number },
): number | undefined {
  const nailed = met.filter(isNailed)
  const rises = (nailed.length > 0 ? nailed : met).map(sign => Math.abs(heightOf(sign) - miss.y))
  const rise = Math.min(...rises)
  return rise > 0 && Number.isFinite(rise) ? (width / 2 - Math.abs(miss.x - centre)) / rise : undefined
}
