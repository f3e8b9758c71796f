/** A point on the elevation, in mm: x to the right from the wall's left edge, y up from finished floor. */
export interface Point { x: number, y: number }

/** A rectangle on the elevation, in mm: x, y is its lower left corner. */
export interface Rect extends Point { width: number, height: number }

/** A closed stretch of the wall's width, in mm. Empty when `to` is less than `from`. */
export interface Interval { from: number, to: number }

/** The point of an interval nearest to x. */
export function nearestIn(interval: Interval, x: number): number {
  return Math.min(Math.max(x, interval.from), interval.to)
}

/** Whether two intervals share a point, to within the last bits of a double. */
export function meets(a: Interval, b: Interval): boolean {
  return Math.min(a.to, b.to) - Math.max(a.from, b.from) >= -1e-9
}

/** The centre of a rectangle. */
export function centreOf(rect: Rect): Point {
  return { x: rect.x + rect.width / 2, y: rect.y + rect.height / 2 }
}

/** Whether two rectangles share more than an edge. */
export function overlaps(a: Rect, b: Rect): boolean {
  return a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height
}

/** Whether a rectangle lies in another, but for a slack, mm. */
export function contains(outer: Rect, { x, y, width, height }: Rect, slack = 1e-6): boolean {
  return x >= outer.x - slack && x + width <= outer.x + outer.width + slack
    && y >= outer.y - slack && y + height <= outer.y + outer.height + slack
}

/** The part that two rectangles share, or nothing where they only touch. */
export function sharedBy(a: Rect, b: Rect): Rect | undefined {
  if (!overlaps(a, b)) return undefined
  const [x, y] = [Math.max(a.x, b.x), Math.max(a.y, b.y)]
  return {
    x,
    y,
    width: Math.min(a.x + a.width, b.x + b.width) - x,
    height: Math.min(a.y + a.height, b.y + b.height) - y,
  }
}
