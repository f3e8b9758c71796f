import type { Point, Rect } from '../../geometry'

/** Something that a cut-out keeps clear of, and what it is called. */
export interface Obstacle extends Rect { name: string }

const TOUCH = 1e-6

/** The cut-out of a size about a point. */
export const cutoutAt = ({ x, y }: Point, { width, height }: { width: number, height: number }): Rect => ({
  x: x - width / 2,
  y: y - height / 2,
  width,
  height,
})

/** What a cut-out about a point runs into. */
export function inTheWay(at: Point, size: { width: number, height: number }, obstacles: Obstacle[]): Obstacle[] {
  const { x, y, width, height } = cutoutAt(at, size)
  return obstacles.filter(
    other =>
      x < other.x + other.width - TOUCH
      && other.x < x + width - TOUCH
      && y < other.y + other.height - TOUCH
      && other.y < y + height - TOUCH,
  )
}

/**
 * The place nearest to a wanted one where a cut-out lies wholly in one of some stretches of wall and runs into nothing.
 * Exact: the nearest place has each coordinate as it is wanted, or with an edge of the cut-out against an edge of a
 * stretch or of what stands in the way, and all of these are looked at.
 *
 * @param within rectangles of which one has to hold the whole cut-out
 */
export function nearestPlace(
  wanted: Point,
  size: { width: number, height: number },
  within: Rect[],
  obstacles: Obstacle[],
): Point | undefined {
  let best: Point | undefined
  let least = Infinity
  for (const room of within) {
    const [x1, x2, y1, y2] = [
      room.x + size.width / 2,
      room.x + room.width - size.width / 2,
      room.y + size.height / 2,
      room.y + room.height - size.height / 2,
    ]
    if (x2 < x1 - TOUCH || y2 < y1 - TOUCH) continue
    const near = obstacles.filter(
      each =>
        each.x < room.x + room.width
        && room.x < each.x + each.width
        && each.y < room.y + room.height
        && room.y < each.y + each.height,
    )
    const along = [
      Math.min(Math.max(wanted.x, x1), x2),
      x1,
      x2,
      ...near.flatMap(each => [each.x - size.width / 2, each.x + each.width + size.width / 2]),
    ].filter(x => x >= x1 - TOUCH && x <= x2 + TOUCH)
    const up = [
      Math.min(Math.max(wanted.y, y1), y2),
      y1,
      y2,
      ...near.flatMap(each => [each.y - size.height / 2, each.y + each.height + size.height / 2]),
    ].filter(y => y >= y1 - TOUCH && y <= y2 + TOUCH)
    for (const x of along) {
      for (const y of up) {
        const far = Math.hypot(x - wanted.x, y - wanted.y)
        if (far < least - 1e-9 && inTheWay({ x, y }, size, near).length === 0) [best, least] = [{ x, y }, far]
      }
    }
  }
  return best
}
