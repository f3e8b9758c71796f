import { neighboursOf, type Surroundings } from '../fastening'
import type { Point } from '../geometry'
import type { Wall } from '../job'

/** Openings in a wall: their sides are edges of what is around them. */
const OPENINGS = ['door', 'window', 'opening']

/** How far a place is from every edge of the base: the wall's sides and top, and openings in it; mm. */
export function edgesAround(
  { x, y }: Point,
  { width, height, features = [] }: Pick<Wall, 'width' | 'height' | 'features'>,
): Surroundings['edges'] {
  const openings = features
    .filter(({ kind }) => OPENINGS.includes(kind))
    .map(o => ({
      name: `the ${o.kind}`,
      distance: Math.hypot(Math.max(o.x - x, 0, x - o.x - o.width), Math.max(o.y - y, 0, y - o.y - o.height)),
    }))
  return [
    { name: 'the left edge', distance: x },
    { name: 'the right edge', distance: width - x },
    { name: 'the top edge', distance: height - y },
    ...openings,
  ]
}

/** So far away an anchor is nobody's neighbour, mm. */
const FAR = 1_500

/** What is around each anchor: edges, and the nearest of all other anchors of the wall to each side. */
export function surroundingsIn(wall: Wall, everyHole: Point[]): (hole: Point) => Surroundings {
  const sorted = [...everyHole].sort((a, b) => a.x - b.x)
  return (hole) => {
    let [low, high] = [0, sorted.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if (sorted[middle]!.x < hole.x - FAR) low = middle + 1
      else high = middle
    }
    const near: Point[] = []
    for (let n = low; n < sorted.length && sorted[n]!.x <= hole.x + FAR; n++) {
      if (Math.abs(sorted[n]!.y - hole.y) <= FAR) near.push(sorted[n]!)
    }
    return { edges: edgesAround(hole, wall), neighbours: neighboursOf(hole, near) }
  }
}
