import type { Point, Rect } from '../../geometry'
import type { Wall } from '../../job'
import type { RouteMinutes } from '../../rules'
import type { PowerMethod } from './powerMethods'
import { isOpen, type Leg } from './ways'

const plain = { openings: [], seals: 0, patches: 0, bores: [], guards: 0, past: [], doubts: [] }
const lengthOf = (a: Point, b: Point) => Math.abs(a.x - b.x) + Math.abs(a.y - b.y)

/** What a run on the face is made with: raceway round a sheath, otherwise what the method itself takes. */
interface Face { wall: Wall, spent: RouteMinutes, method: PowerMethod }

function runsBetween(places: Point[], { spent, method }: Face): Leg[] {
  const inRaceway = method.construction === 'sheathed'
  const perMetre = inRaceway ? spent.minutesRaceway : method.perMetre(spent)
  const legs = places.slice(1).map((to, n): Leg => ({
    ...plain,
    from: places[n]!,
    to,
    method: inRaceway ? 'raceway' : 'on the face',
    minutes: (lengthOf(places[n]!, to) / 1000) * perMetre,
  })).filter(({ from, to }) => lengthOf(from, to) > 1e-6)
  if (!inRaceway) return legs
  const [first, last] = [0, legs.length - 1]
  return legs.map((leg, n) => ({
    ...leg,
    minutes: leg.minutes + (n === first ? spent.minutesRacewayEnd : spent.minutesRacewayCorner)
      + (n === last ? spent.minutesRacewayEnd : 0),
  }))
}

/**
 * A run on the face: from a place straight up or down, then along to the box.
 *
 * @param start where it begins; from what is open above, else below, where that is elsewhere
 * @param through what is bored where it begins on the other face, and the wall is bored at the box
 */
export function onTheFace(box: Point, start: Point | undefined, face: Face, through: number | undefined): Leg[] {
  const { wall, spent } = face
  const from = start ?? { x: box.x, y: !isOpen(wall, 'above') && isOpen(wall, 'below') ? 0 : wall.height }
  const legs = runsBetween([from, { x: from.x, y: box.y }, box], face)
  return through === undefined
    ? legs
    : [
        ...legs,
        {
          ...plain,
          from: { x: box.x, y: box.y },
          to: { x: box.x, y: box.y },
          method: 'through the wall',
          minutes: spent.minutesThroughWall,
          seals: 2,
          bores: [{ x: box.x, y: box.y, diameter: through, through: 'plate' }],
        },
      ]
}

/** How much of a straight run is in sight: not behind any of some cases, mm. */
export function inSight({ from, to }: Pick<Leg, 'from' | 'to'>, cases: Rect[]): number {
  const [low, high] = [
    { x: Math.min(from.x, to.x), y: Math.min(from.y, to.y) },
    { x: Math.max(from.x, to.x), y: Math.max(from.y, to.y) },
  ]
  const upright = high.x - low.x < 1e-6
  const hidden = cases
    .flatMap(({ x, y, width, height }): [number, number][] =>
      upright
        ? low.x >= x && low.x <= x + width
          ? [[Math.max(y, low.y), Math.min(y + height, high.y)]]
          : []
        : low.y >= y && low.y <= y + height
          ? [[Math.max(x, low.x), Math.min(x + width, high.x)]]
          : [],
    )
    .filter(([a, b]) => b > a)
    .sort(([a], [b]) => a - b)
  let [seen, reached] = [0, upright ? low.y : low.x]
  for (const [a, b] of hidden) {
    seen += Math.max(a - reached, 0)
    reached = Math.max(reached, b)
  }
  return seen + Math.max((upright ? high.y : high.x) - reached, 0)
}
