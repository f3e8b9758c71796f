/** A member's centre as far as its own signs tell it, mm. */
export interface Sighting { centre: number, sd: number }

/** Members at an even spacing over some stretch of the wall: start + n × spacing. */
export interface Run {
  spacing: number
  /** Place of the run's first member. */
  start: number
  /** One σ of the start, mm. */
  startSd: number
  /** How far members stand off their place in the run, one σ, mm. */
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
/** What a run has to gain over members that stand anywhere, as a log of odds: more for each kind of spacing there is. */
const RUN_COST = 5
/** What a place without a sighting takes off. */
const EMPTY_COST = 0.7
/** Members that make a run; fewer do where the spacing is known already and only a bay was odd. */
const FEWEST = 3
const FEWEST_AGAIN = 2
/** Sightings farther than this many σ from a place are not of it. */
const OFF = 3.5

interface Fit { gain: number, spacing: number, start: number, first: number, end: number, taken: number }

/** Where a sighting is in a run that starts at `start`: its place, and how far it stands off it. */
function placeIn(start: number, spacing: number, centre: number): { place: number, off: number } {
  const place = Math.round((centre - start) / spacing)
  return { place, off: centre - start - place * spacing }
}

/**
 * Every run of one spacing that begins at a sighting, by where it ends. The start is learned as the
 * run goes on; a run's gain is how much likelier each next sighting is than one that stands anywhere.
 */
function fitsFrom(sightings: Sighting[], first: number, spacing: number): Fit[] {
  const fits: Fit[] = []
  let [start, weight, before, taken, gain] = [0, 0, -1, 0, 0]
  for (let n = first; n < sightings.length; n++) {
    const { centre, sd } = sightings[n]!
    const own = JITTER ** 2 + sd ** 2
    const { place, off } = taken === 0 ? { place: 0, off: 0 } : placeIn(start, spacing, centre)
    const variance = own + (taken === 0 ? 0 : 1 / weight)
    if (place === before || off ** 2 > OFF ** 2 * variance) continue
    gain += Math.log(spacing / Math.sqrt(2 * Math.PI * variance)) - 0.5 * off ** 2 / variance - EMPTY_COST * (place - before - 1)
    start = (start * weight + (centre - place * spacing) / own) / (weight + 1 / own)
    weight += 1 / own
    before = place
    taken++
    if (taken >= FEWEST_AGAIN) fits.push({ gain, spacing, start, first, end: n + 1, taken })
  }
  return fits
}

/** The sightings of a fit by their place in it. */
function placesOf(sightings: Sighting[], { start, spacing, first, end }: Fit): Map<number, number> {
  const places = new Map<number, number>()
  for (let n = first; n < end; n++) {
    const { centre, sd } = sightings[n]!
    const { place, off } = placeIn(start, spacing, centre)
    if (Math.abs(off) <= OFF * Math.hypot(JITTER, sd) && ![...places.values()].includes(place)) places.set(n, place)
  }
  return places
}

/** Jitter from how far the sightings stand off, drawn towards what is usual where they are few. */
function jitterOf(sightings: Sighting[], places: Map<number, number>, { start, spacing }: Fit): number {
  let [sum, count] = [2 * JITTER ** 2, 2]
  for (const [n, place] of places) {
    const { centre, sd } = sightings[n]!
    // What is known well tells more of how far members stand off.
    const weight = (JITTER ** 2 / (JITTER ** 2 + sd ** 2)) ** 2
    sum += weight * Math.max((centre - start - place * spacing) ** 2 - sd ** 2, -(JITTER ** 2))
    count += weight
  }
  return Math.sqrt(Math.max(sum / count, LEAST_JITTER ** 2))
}

function runOf(sightings: Sighting[], found: Fit): Run {
  const places = placesOf(sightings, found)
  const jitter = jitterOf(sightings, places, found)
  const weights = [...places.keys()].reduce((sum, n) => sum + 1 / (jitter ** 2 + sightings[n]!.sd ** 2), 0)
  const from = Math.min(...places.values())
  return {
    spacing: found.spacing,
    start: found.start + from * found.spacing,
    startSd: Math.sqrt(1 / weights),
    jitter,
    last: Math.max(...places.values()) - from,
    places: new Map([...places].map(([n, place]) => [n, place - from])),
  }
}

/** Where a run expects its n-th member, and how surely, one σ; without the sighting of index `but`. */
export function expectedAt(run: Run, sightings: Sighting[], place: number, but?: number): { centre: number, sd: number } {
  const own = but === undefined ? undefined : run.places.get(but)
  if (own === undefined) return { centre: run.start + place * run.spacing, sd: Math.hypot(run.jitter, run.startSd) }
  const { centre, sd } = sightings[but!]!
  const [all, its] = [1 / run.startSd ** 2, 1 / (run.jitter ** 2 + sd ** 2)]
  const start = (run.start * all - (centre - own * run.spacing) * its) / (all - its)
  return { centre: start + place * run.spacing, sd: Math.hypot(run.jitter, Math.sqrt(1 / (all - its))) }
}

/**
 * Finds the runs of even spacing among sightings, left to right: the division under which they are
 * likeliest. An odd bay begins a new run, and a member that fits none stays outside.
 *
 * @param likely the spacing that the surveyor named, which is tried before the usual ones
 */
export function runsOf(sightings: Sighting[], likely?: number): Run[] {
  const spacings = [...new Set([...likely !== undefined ? [likely] : [], ...USUAL_SPACINGS])]
  const cost = (spacing: number, before: Fit | undefined) => RUN_COST + ([likely, before?.spacing].includes(spacing) ? 0 : Math.log(spacings.length))
  const best: { value: number, fits: Fit[] }[] = Array.from({ length: sightings.length + 1 }, () => ({ value: 0, fits: [] }))
  for (let first = 0; first < sightings.length; first++) {
    const before = best[first]!
    if (before.value > best[first + 1]!.value) best[first + 1] = before
    for (const found of spacings.flatMap(spacing => fitsFrom(sightings, first, spacing))) {
      const last = before.fits.at(-1)
      if (found.taken < FEWEST && last?.spacing !== found.spacing) continue
      const value = before.value + found.gain - cost(found.spacing, last)
      if (value > best[found.end]!.value) best[found.end] = { value, fits: [...before.fits, found] }
    }
  }
  return best[sightings.length]!.fits.map(found => runOf(sightings, found))
}
