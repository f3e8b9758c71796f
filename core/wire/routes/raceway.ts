import type { Point, Rect } from '../../geometry'
import type { Wall } from '../../job'
import { isOpen, MINUTES, type Leg } from './ways'

const plain = { openings: [], seals: 0, patches: 0, bores: [], guards: 0, past: [], doubts: [] }
const lengthOf = (a: Point, b: Point) => Math.abs(a.x - b.x) + Math.abs(a.y - b.y)

const leg = (from: Point, to: Point): Leg => ({
  ...plain,
  from,
  to,
  method: 'raceway',
  minutes: (lengthOf(from, to) / 1000) * MINUTES.racewayPerMetre,
})

/**
 * A raceway on the face: from a place straight up or down, then along to the box.
 *
 * @param start where it begins; from what is open above, else below, where that is elsewhere
 * @param through whether it begins on the other face, and the wall is bored at the box
 */
export function onTheFace(box: Point, start: Point | undefined, wall: Wall, through: number | undefined): Leg[] {
  const from = start ?? { x: box.x, y: !isOpen(wall, 'above') && isOpen(wall, 'below') ? 0 : wall.height }
  const corner = { x: from.x, y: box.y }
  const legs = [leg(from, corner), leg(corner, box)].filter(({ from: a, to: b }) => lengthOf(a, b) > 1e-6)
  const ends
    = legs.length > 0
      ? legs.map((each, n) => ({
          ...each,
          minutes: each.minutes + (n === 0 ? MINUTES.racewayEnd : 0) + (n === legs.length - 1 ? MINUTES.racewayEnd : 0),
        }))
      : []
  return through === undefined
    ? ends
    : [
        ...ends,
        {
          ...plain,
          from: { x: box.x, y: box.y },
          to: { x: box.x, y: box.y },
          method: 'through the wall',
          minutes: MINUTES.throughWall,
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
