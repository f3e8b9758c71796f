import type { Point, Rect } from '../geometry'
import type { Feature } from './wall'

/** A slanted line is taken in pieces at most so long each way, mm. */
const PIECE = 50

type Drawn = Pick<Feature, 'x' | 'y' | 'width' | 'height' | 'slant'>

/** The ends of a cable or pipe that runs slanted across its rectangle; undefined of anything else. */
export function lineOf({ x, y, width, height, slant }: Drawn): { from: Point, to: Point } | undefined {
  if (!slant) return undefined
  return slant === 'rising'
    ? { from: { x, y }, to: { x: x + width, y: y + height } }
    : { from: { x, y: y + height }, to: { x: x + width, y } }
}

/**
 * Where on a wall a feature is: its rectangle, or, of one that runs slanted, short rectangles along its line, so that
 * the free corners of its rectangle stay free.
 *
 * @example
 * featureParts({ x: 0, y: 0, width: 100, height: 50, slant: 'rising' })
 * // two: { x: 0, y: 0, width: 50, height: 25 } and { x: 50, y: 25, width: 50, height: 25 }
 */
export function featureParts(feature: Drawn): Rect[] {
  const line = lineOf(feature)
  const { x, y, width, height } = feature
  if (!line) return [{ x, y, width, height }]
  const count = Math.ceil(Math.max(width, height) / PIECE)
  const size = { width: width / count, height: height / count }
  return Array.from({ length: count }, (_, n) => ({
    x: x + n * size.width,
    y: y + (feature.slant === 'rising' ? n : count - 1 - n) * size.height,
    ...size,
  }))
}

/** How far a place is from a feature, mm: from its line where it runs slanted. */
export function distanceTo(feature: Drawn, at: Point): number {
  const line = lineOf(feature)
  const { x, y, width, height } = feature
  if (!line) return Math.hypot(Math.max(x - at.x, 0, at.x - x - width), Math.max(y - at.y, 0, at.y - y - height))
  const [across, up] = [line.to.x - line.from.x, line.to.y - line.from.y]
  const along = ((at.x - line.from.x) * across + (at.y - line.from.y) * up) / (across ** 2 + up ** 2)
  const share = Math.min(1, Math.max(0, along))
  return Math.hypot(at.x - line.from.x - share * across, at.y - line.from.y - share * up)
}
