import { ADDED_PER_MM, RUN_FILLED, UNRULED_PER_MM } from './errorModel'
import { normalPdf } from './normal'
import type { Expectation } from './posterior'
import { expectedAt, type Run, type Sighting } from './runs'

/** Members beyond a run's two ends for each mm, where that run no longer rules. */
const OUTSIDE_PER_MM = 8e-5
/**
 * How often one piece of a doubled member stands where its run has its place, to either side, and how often its middle
 * does.
 */
const BESIDE = 0.45

const unruled = (size: number) => new Float64Array(size).fill(UNRULED_PER_MM)
/** Long enough for any usual cluster, so that it is not filled anew for each. */
const UNRULED = unruled(4096)
/** What is expected where no run is known. */
export const flat: Expectation = (_from, _step, size) => {
  const density = size > UNRULED.length ? unruled(size) : UNRULED
  return [density, density]
}

/** A place of a run with what all its members tell of it: near there one member's own telling is left out. */
interface Place { run: Run, place: number, centre: number, sd: number, filled: number }

/** Leaving one member out moves what its run expects by no more than this, mm. */
const MOVES = 40

function placesOf(runs: Run[], sightings: Sighting[]): Place[] {
  return runs.flatMap(run => Array.from({ length: run.last + 3 }, (_, n): Place => {
    const place = n - 1
    const isInside = place >= 0 && place <= run.last
    return { run, place, ...expectedAt(run, sightings, place), filled: isInside ? RUN_FILLED : RUN_FILLED / 2 }
  }))
}

/** The steps of a density, `step` apart from `from` on, mm. */
interface Steps { density: Float64Array, from: number, step: number }

/** Adds to a density what is expected at a place: a normal distribution. */
function addPlace({ density, from, step }: Steps, centre: number, sd: number, filled: number): void {
  const last = Math.min(Math.round((centre + 5 * sd - from) / step), density.length - 1)
  for (let n = Math.max(Math.round((centre - 5 * sd - from) / step), 0); n <= last; n++) {
    density[n]! += filled * normalPdf(from + n * step - centre, sd)
  }
}

/**
 * Members expected at a place from the runs found, leaving one sighting out of account: a single one where its run
 * has its place, a doubled one with one of its pieces there and the other beside it.
 */
export function expectation(runs: Run[], sightings: Sighting[], width: number): (but?: number) => Expectation {
  if (runs.length === 0) return () => flat
  const places = placesOf(runs, sightings)
  const ruled = runs.map(({ start, last, spacing }) => ({ from: start, to: start + last * spacing }))
  return but => (from, step, size) => {
    const single = new Float64Array(size).fill(OUTSIDE_PER_MM)
    const index = (x: number) => Math.min(Math.max(Math.round((x - from) / step), 0), size)
    for (const run of ruled) single.fill(ADDED_PER_MM, index(run.from), index(run.to + step))
    const double = new Float64Array(single)
    const to = from + (size - 1) * step
    for (const each of places) {
      const reach = 5 * each.sd + width + (but === undefined ? 0 : MOVES)
      if (each.centre + reach < from || each.centre - reach > to) continue
      const isOwn = but !== undefined && each.run.places.has(but)
      const { centre, sd } = isOwn ? expectedAt(each.run, sightings, each.place, but) : each
      const { filled } = each
      addPlace({ density: single, from, step }, centre, sd, filled)
      for (const [aside, share] of [[-width / 2, BESIDE], [0, 1 - 2 * BESIDE], [width / 2, BESIDE]] as const) {
        addPlace({ density: double, from, step }, centre + aside, sd, filled * share)
      }
    }
    return [single, double]
  }
}
