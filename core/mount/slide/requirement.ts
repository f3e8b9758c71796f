import { nearestIn, type Interval } from '../../geometry'
import { coveredAtLeast, union } from '../../intervals'
import type { FixingZone, Target } from '../holes/zones'

/** What a plate asks of the wall along one axis: that its spans reach so many different targets; mm from its centre. */
export interface Requirement { spans: Interval[], targets: Target[], wanted: number }

const EPSILON = 1e-10

/** Where a plate's centre may be for one span to reach a zone with so much margin. */
function reaching({ centre, usable }: FixingZone, margin: number, span: Interval): Interval {
  const slack = usable - margin + EPSILON
  return { from: centre - slack - span.to, to: centre + slack - span.from }
}

/** The same requirements with only those targets that a plate can reach from within a stretch. */
export function requirementsNear(requirements: Requirement[], within: Interval): Requirement[] {
  return requirements.map(({ spans, targets, wanted }) => {
    const left = Math.min(...spans.map(({ from }) => from))
    const right = Math.max(...spans.map(({ to }) => to))
    return {
      spans,
      wanted,
      targets: targets.filter(({ zones }) =>
        zones.some(({ from, to }) => to >= within.from + left && from <= within.to + right),
      ),
    }
  })
}

/** Where a plate's centre may be for a target to be reached with so much margin. */
function reachingTarget({ zones, needed }: Target, margin: number, spans: Interval[]): Interval[] {
  const sets = zones.filter(({ usable }) => usable >= margin).map((zone) => {
    const reached = spans.map(span => reaching(zone, margin, span))
    return reached.length > 1 ? union(reached) : reached
  })
  return needed === 1 && sets.length < 2 ? sets[0] ?? [] : coveredAtLeast(needed, sets)
}

/** Where a plate's centre may be, within a stretch, for every requirement to be met with so much margin. */
export function holdingPlaces(requirements: Requirement[], within: Interval, margin = 0): Interval[] {
  const sets = requirements.map(({ spans, targets, wanted }) =>
    coveredAtLeast(
      wanted,
      targets.map(target => reachingTarget(target, margin, spans)),
    ),
  )
  return coveredAtLeast(sets.length + 1, [[within], ...sets])
}

/** The greatest margin that any fastener of these requirements can have, wherever the plate is. */
export function mostMargin(requirements: Requirement[]): number {
  return Math.max(
    0,
    ...requirements.flatMap(({ targets }) => targets.flatMap(({ zones }) => zones.map(({ usable }) => usable))),
  )
}

/** The margin with which a target is reached from a place, negative where it is not. */
function marginOf({ zones, needed }: Target, spans: Interval[], at: number): number {
  const each = zones.map(
    ({ centre, usable }) =>
      usable
      - Math.min(
        ...spans.map(({ from, to }) => Math.abs(nearestIn({ from: at + from, to: at + to }, centre) - centre)),
      ),
  )
  return each.sort((a, b) => b - a)[needed - 1] ?? -Infinity
}

/**
 * The least margin of any fastener with the plate's centre at `at`, each requirement met by what it reaches best; −∞
 * where one is not met.
 */
export function smallestMargin(requirements: Requirement[], at: number): number {
  return Math.min(Infinity, ...requirements.map(({ spans, targets, wanted }) => {
    const best = targets
      .map(target => marginOf(target, spans, at))
      .filter(margin => margin >= -1e-9)
      .sort((a, b) => b - a)
    return best[wanted - 1] ?? -Infinity
  }))
}
