import { ERROR_MODEL } from './errorModel'

/** A member's centre as far as its own signs tell it, mm. */
export interface Sighting { centre: number, sd: number }

/** Members at an even spacing over some stretch of the wall. */
export interface Run {
  /** The usual spacing that it keeps, or the one that was fitted to it where it keeps none. */
  spacing: number
  /** Whether the spacing is one that framing is usually set out at, or that the surveyor named. */
  named: boolean
  /** Place of the run's first member. */
  start: number
  /** One σ of the start, mm. */
  startSd: number
  /** How far members stand off the place that their neighbours tell, one σ, mm. */
  jitter: number
  /** How many spacings from the start the last member is. */
  last: number
  /** For each sighting of the run, by index: which place it is at. */
  places: Map<number, number>
}

/** Centres at which framing and furring are usually set out, mm; 16 in and 24 in among them. */
export const USUAL_SPACINGS = [300, 400, 406.4, 450, 600, 609.6]

/** How far a member stands off its place where too few are known to tell, one σ, mm. */
const JITTER = 4
const LEAST_JITTER = 2
/** How far a run drifts from one bay to the next, one σ, mm. */
const DRIFT = 2
/**
 * What a run has to gain over members that stand anywhere, as a log of odds: more for each kind of spacing there is,
 * and for one that is none of the usual.
 */
const RUN_COST = 6
const UNNAMED_COST = 1.5
/** What a place without a sighting takes off. */
const EMPTY_COST = 1
/** Members that make a run; fewer do where the spacing is known already and only a bay was odd. */
const FEWEST = 3
const FEWEST_AGAIN = 2
/** Sightings farther than this many σ from a place are not of it. */
const OFF = 2.8
/** Bays that are looked at for a spacing nobody named, mm, how alike they must be, and how many there must be. */
const BAYS = { from: 250, to: 720, alike: 7, fewest: 3, most: 2 }
/** A spacing this near to a usual one is that one, as a share of it. */
const SAME_SPACING = 0.008
/** A member's place is told by neighbours so many bays away and less, one σ of their weight. */
const NEIGHBOURS = 2.5
/** Members farther off than this tell nothing more, bays. */
const FARTHEST = 9

/** A run as it was followed up to some sighting: the first `taken` of its places. */
interface Fit {
  gain: number
  spacing: number
  first: number
  end: number
  taken: number
  places: [sighting: number, place: number][]
}

/**
 * Follows a run of about one spacing from a sighting on, and tells of it wherever it may end. Place and spacing are
 * learned as the
 * run goes on (a Kalman filter): framing may be laid a little long or short, and drift. A run's gain is how much
 * likelier each next sighting is than one that stands anywhere.
 */
function followFrom(
  sightings: Sighting[],
  first: number,
  spacing: number,
  aside: boolean[],
  seen: (gain: number, end: number, taken: number, places: Fit['places']) => void,
): void {
  const { centre, sd } = sightings[first]!
  let [at, bay] = [centre, spacing]
  let [pAt, pBoth, pBay] = [JITTER ** 2 + sd ** 2, 0, (ERROR_MODEL.spacing * spacing) ** 2]
  let [place, gain] = [0, Math.log(spacing / Math.sqrt(2 * Math.PI * (JITTER ** 2 + sd ** 2)))]
  const places: Fit['places'] = [[first, 0]]
  for (let n = first + 1; n < sightings.length; n++) {
    if (aside[n]) continue
    const { centre, sd } = sightings[n]!
    const ahead = Math.round((centre - at) / bay)
    if (ahead < 1) continue
    const [expected, own] = [at + ahead * bay, JITTER ** 2 + sd ** 2]
    const forward = pAt + 2 * ahead * pBoth + ahead ** 2 * pBay + ahead * DRIFT ** 2
    const crossed = pBoth + ahead * pBay
    const variance = forward + own
    const off = centre - expected
    if (off ** 2 > OFF ** 2 * variance) {
      // Nothing so far ahead can be told from a place of the run any more.
      if (variance > (spacing / 4) ** 2) break
      continue
    }
    gain
      += Math.log(spacing / Math.sqrt(2 * Math.PI * variance)) - (0.5 * off ** 2) / variance - EMPTY_COST * (ahead - 1)
    const [kAt, kBay] = [forward / variance, crossed / variance]
    at = expected + kAt * off
    bay += kBay * off
    pAt = forward * (1 - kAt)
    pBay -= kBay * crossed
    pBoth = crossed * (1 - kAt)
    place += ahead
    places.push([n, place])
    if (places.length >= FEWEST_AGAIN) seen(gain, n + 1, places.length, places)
  }
}

/** Spacings that nobody named, but that bay after bay has: mean of bays that are alike, the commonest first. */
function foundSpacings(sightings: Sighting[], known: number[]): number[] {
  const bays = sightings
    .slice(1)
    .map(({ centre }, n) => centre - sightings[n]!.centre)
    .filter(bay => bay >= BAYS.from && bay <= BAYS.to)
  const found = bays
    .map((bay) => {
      const like = bays.filter(other => Math.abs(other - bay) <= BAYS.alike)
      return { count: like.length, spacing: like.reduce((a, b) => a + b) / like.length }
    })
    .filter(
      ({ count, spacing }) =>
        count >= BAYS.fewest && known.every(usual => Math.abs(usual - spacing) > SAME_SPACING * usual),
    )
    .sort((a, b) => b.count - a.count)
  const distinct: number[] = []
  for (const { spacing } of found) {
    if (distinct.length < BAYS.most && distinct.every(other => Math.abs(other - spacing) > BAYS.alike))
      distinct.push(spacing)
  }
  return distinct
}

/**
 * Where members of a run tell that one at a place stands, from those near it: a straight line through them, whose slope
 * is the spacing as far as it is kept.
 */
function localPlace(
  members: { centre: number, sd: number, place: number }[],
  spacing: number,
  place: number,
): { centre: number, variance: number } {
  let [w, wd, wdd, wz, wdz] = [0, 0, 1 / (ERROR_MODEL.spacing * spacing) ** 2, 0, 0]
  for (const { centre, sd, place: its } of members) {
    const away = its - place
    if (away > FARTHEST || away < -FARTHEST) continue
    const weight = Math.exp(-0.5 * (away / NEIGHBOURS) ** 2) / (JITTER ** 2 + sd ** 2)
    const z = centre - away * spacing
    w += weight
    wd += weight * away
    wdd += weight * away * away
    wz += weight * z
    wdz += weight * away * z
  }
  const det = w * wdd - wd * wd
  if (!(det > 1e-12)) return { centre: Number.NaN, variance: Infinity }
  return { centre: (wz * wdd - wd * wdz) / det, variance: wdd / det }
}

/** Jitter from how far members stand off where the others tell them, drawn towards what is usual where they are few. */
function jitterOf(members: { centre: number, sd: number, place: number }[], spacing: number): number {
  let [sum, count] = [2 * JITTER ** 2, 2]
  members.forEach((member, n) => {
    const { centre, variance } = localPlace(members.filter((_, k) => k !== n), spacing, member.place)
    if (!Number.isFinite(variance) || members.length < 3) return
    // What is known well tells more of how far members stand off; the place told by neighbours has their own jitter in
    // it.
    const known = member.sd ** 2 + variance
    const weight = (JITTER ** 2 / (JITTER ** 2 + known)) ** 2
    sum += weight * Math.max((member.centre - centre) ** 2 - known, -(JITTER ** 2))
    count += weight
  })
  return Math.sqrt(Math.max(sum / count, LEAST_JITTER ** 2))
}

function runOf(sightings: Sighting[], { spacing, places: followed, taken }: Fit, named: number[]): Run {
  const places = followed.slice(0, taken)
  const members = places.map(([n, place]) => ({ ...sightings[n]!, place }))
  const jitter = jitterOf(members, spacing)
  // Start and spacing by weighted least squares, the spacing against the one that was tried.
  let [w, wp, wpp, wc, wpc] = [0, 0, 0, 0, 0]
  const prior = 1 / (ERROR_MODEL.spacing * spacing) ** 2
  for (const { centre, sd, place } of members) {
    const weight = 1 / (jitter ** 2 + sd ** 2)
    w += weight
    wp += weight * place
    wpp += weight * place * place
    wc += weight * centre
    wpc += weight * place * centre
  }
  const det = w * (wpp + prior) - wp * wp
  const fitted = (w * (wpc + prior * spacing) - wp * wc) / det
  const fittedSd = Math.sqrt(w / det)
  const usual = named.reduce<number | undefined>(
    (best, other) =>
      Math.abs(other - fitted) <= Math.max(SAME_SPACING * other, 0)
      && (best === undefined || Math.abs(other - fitted) < Math.abs(best - fitted))
        ? other
        : best,
    undefined,
  )
  const keeps = usual !== undefined && Math.abs(usual - fitted) < 3 * fittedSd
  const bay = keeps ? usual : fitted
  return {
    spacing: bay,
    named: keeps,
    start: (wc - wp * bay) / w,
    startSd: Math.sqrt(1 / w),
    jitter,
    last: places.at(-1)![1],
    places: new Map(places),
  }
}

/**
 * Where a run expects its n-th member, by those near it, and how surely, one σ; without the sighting of index `but`.
 */
export function expectedAt(
  run: Run,
  sightings: Sighting[],
  place: number,
  but?: number,
): { centre: number, sd: number } {
  const members: { centre: number, sd: number, place: number }[] = []
  for (const [n, its] of run.places) {
    if (n === but || its - place > FARTHEST || place - its > FARTHEST) continue
    const { centre, sd } = sightings[n]!
    members.push({ centre, sd, place: its })
  }
  const { centre, variance } = localPlace(members, run.spacing, place)
  return Number.isFinite(variance)
    ? { centre, sd: Math.hypot(run.jitter, Math.sqrt(variance)) }
    : { centre: run.start + place * run.spacing, sd: Math.hypot(run.jitter, run.startSd) }
}

interface Division { value: number, last?: Fit, before?: Division }

/**
 * Finds the runs of even spacing among sightings, left to right: the division under which they are
 * likeliest. An odd bay begins a new run, and a member that fits none stays outside.
 *
 * @param likely the spacing that the surveyor named, which is tried before the usual ones
 * @param aside sightings that stand in no run whatever their place: studs in the wall's corners
 */
export function runsOf(
  sightings: Sighting[],
  likely?: number,
  aside: (sighting: Sighting) => boolean = () => false,
): Run[] {
  const named = [...new Set([...(likely !== undefined ? [likely] : []), ...USUAL_SPACINGS])]
  const unnamed = foundSpacings(sightings, named)
  const spacings = [...named, ...unnamed]
  const cost = (spacing: number, before: Fit | undefined) =>
    RUN_COST
    + (unnamed.includes(spacing) ? UNNAMED_COST : 0)
    + ([likely, before?.spacing].includes(spacing) ? 0 : Math.log(spacings.length))
  const outside = sightings.map(aside)
  /** The best division of the sightings up to each, by its last run and the division before that. */
  const best: Division[] = Array.from({ length: sightings.length + 1 }, () => ({ value: 0 }))
  for (let first = 0; first < sightings.length; first++) {
    const before = best[first]!
    if (before.value > best[first + 1]!.value) best[first + 1] = before
    if (outside[first]) continue
    for (const spacing of spacings) {
      const costs = cost(spacing, before.last)
      followFrom(sightings, first, spacing, outside, (gain, end, taken, places) => {
        if (taken < FEWEST && before.last?.spacing !== spacing) return
        const value = before.value + gain - costs
        if (value > best[end]!.value) best[end] = { value, last: { gain, spacing, first, end, taken, places }, before }
      })
    }
  }
  const runs: Run[] = []
  for (let { last, before } = best[sightings.length]!; last; { last, before } = before!)
    runs.unshift(runOf(sightings, last, named))
  return runs
}
