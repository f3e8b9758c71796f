import { nearestIn, type Interval } from '../geometry'
import { inAtLeast, united } from '../intervals'
import type { Landing } from './landing'

/** What a plate asks of the wall along one axis: that its spans reach so many different landings; mm from its centre. */
export interface Demand { spans: Interval[], landings: Landing[], wanted: number }

const EPSILON = 1e-10

/** Where a plate's centre may be for one span to reach a landing with so much to spare. */
function reaching({ centre, usable }: Landing, spare: number, span: Interval): Interval {
  const slack = usable - spare + EPSILON
  return { from: centre - slack - span.to, to: centre + slack - span.from }
}

/** The same demands with only those landings that a plate can reach from within a stretch. */
export function demandsNear(demands: Demand[], within: Interval): Demand[] {
  return demands.map(({ spans, landings, wanted }) => {
    const left = Math.min(...spans.map(({ from }) => from))
    const right = Math.max(...spans.map(({ to }) => to))
    return { spans, wanted, landings: landings.filter(({ from, to }) => to >= within.from + left && from <= within.to + right) }
  })
}

/** Where a plate's centre may be, within a stretch, for every demand to be met with so much to spare. */
export function holdingPlaces(demands: Demand[], within: Interval, spare = 0): Interval[] {
  const sets = demands.map(({ spans, landings, wanted }) => inAtLeast(wanted, landings
    .filter(({ usable }) => usable >= spare)
    .map(landing => united(spans.map(span => reaching(landing, spare, span))))))
  return inAtLeast(sets.length + 1, [[within], ...sets])
}

/** The most that any fastener of these demands can have to spare, wherever the plate is. */
export function mostSpare(demands: Demand[]): number {
  return Math.max(0, ...demands.flatMap(({ landings }) => landings.map(({ usable }) => usable)))
}

/** The least that a fastener has to spare with the plate's centre at `at`, each demand met by what it reaches best; −∞ where one is not met. */
export function smallestMargin(demands: Demand[], at: number): number {
  const margins = demands.map(({ spans, landings, wanted }) => {
    const best = landings
      .map(({ centre, usable }) => usable - Math.min(...spans.map(({ from, to }) => Math.abs(nearestIn({ from: at + from, to: at + to }, centre) - centre))))
      .filter(margin => margin >= -1e-9)
      .sort((a, b) => b - a)
    return best[wanted - 1] ?? -Infinity
  })
  return Math.min(Infinity, ...margins)
}
