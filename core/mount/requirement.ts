import { nearestIn, type Interval } from '../geometry'
import { coveredAtLeast, union } from '../intervals'
import type { FixingZone } from './zones'

/** What a plate asks of the wall along one axis: that its spans reach so many different zones; mm from its centre. */
export interface Requirement { spans: Interval[], zones: FixingZone[], wanted: number }

const EPSILON = 1e-10

/** Where a plate's centre may be for one span to reach a zone with so much to spare. */
function reaching({ centre, usable }: FixingZone, spare: number, span: Interval): Interval {
  const slack = usable - spare + EPSILON
  return { from: centre - slack - span.to, to: centre + slack - span.from }
}

/** The same requirements with only those zones that a plate can reach from within a stretch. */
export function requirementsNear(requirements: Requirement[], within: Interval): Requirement[] {
  return requirements.map(({ spans, zones, wanted }) => {
    const left = Math.min(...spans.map(({ from }) => from))
    const right = Math.max(...spans.map(({ to }) => to))
    return { spans, wanted, zones: zones.filter(({ from, to }) => to >= within.from + left && from <= within.to + right) }
  })
}

/** Where a plate's centre may be, within a stretch, for every requirement to be met with so much to spare. */
export function holdingPlaces(requirements: Requirement[], within: Interval, spare = 0): Interval[] {
  const sets = requirements.map(({ spans, zones, wanted }) => coveredAtLeast(wanted, zones
    .filter(({ usable }) => usable >= spare)
    .map(zone => union(spans.map(span => reaching(zone, spare, span))))))
  return coveredAtLeast(sets.length + 1, [[within], ...sets])
}

/** The most that any fastener of these requirements can have to spare, wherever the plate is. */
export function mostSpare(requirements: Requirement[]): number {
  return Math.max(0, ...requirements.flatMap(({ zones }) => zones.map(({ usable }) => usable)))
}

/** The least that a fastener has to spare with the plate's centre at `at`, each requirement met by what it reaches best; −∞ where one is not met. */
export function smallestMargin(requirements: Requirement[], at: number): number {
  const margins = requirements.map(({ spans, zones, wanted }) => {
    const best = zones
      .map(({ centre, usable }) => usable - Math.min(...spans.map(({ from, to }) => Math.abs(nearestIn({ from: at + from, to: at + to }, centre) - centre))))
      .filter(margin => margin >= -1e-9)
      .sort((a, b) => b - a)
    return best[wanted - 1] ?? -Infinity
  })
  return Math.min(Infinity, ...margins)
}
