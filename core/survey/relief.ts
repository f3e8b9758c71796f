import type { SurfaceReading } from '../job'

/** How a wall's face lies, from distances read from one plane in front of it; mm. */
export interface Relief {
  /**
   * Best plane: how far the face stands out at the wall's lower left corner, and by how much more for each mm along and
   * up.
   */
  plane: { out: number, along: number, up: number }
  /** How far each reading stands out of the best plane, + towards the room. */
  points: { x: number, y: number, out: number }[]
  highest: { x: number, y: number, out: number }
  lowest: { x: number, y: number, out: number }
  /** From the lowest to the highest point. */
  flatness: number
}

/** Solves three equations in three unknowns by Cramer's rule; undefined where they do not tell one answer. */
function solve(rows: [number, number, number][], sums: [number, number, number]): [number, number, number] | undefined {
  const det = ([a, b, c]: [number, number, number][]) =>
    a![0] * (b![1] * c![2] - b![2] * c![1])
    - a![1] * (b![0] * c![2] - b![2] * c![0])
    + a![2] * (b![0] * c![1] - b![1] * c![0])
  const whole = det(rows)
  if (Math.abs(whole) < 1e-6) return undefined
  const column = (k: number) =>
    det(rows.map((row, n) => row.map((value, m) => (m === k ? sums[n]! : value)) as [number, number, number])) / whole
  return [column(0), column(1), column(2)]
}

/**
 * The best plane through a wall's surface readings by least squares, and how each point stands off it.
 * A reading is the distance from a laser plane or plumb line to the face: the less, the farther out.
 *
 * @returns undefined for fewer than three readings, or for readings in one line
 */
export function reliefOf(readings: SurfaceReading[]): Relief | undefined {
  if (readings.length < 3) return undefined
  // Metres keep the sums of squares near one another.
  const rows = readings.map(({ x, y, distance }) => ({ basis: [1, x / 1000, y / 1000] as const, out: -distance }))
  const sums = ([0, 1, 2] as const).map(i =>
    ([0, 1, 2] as const).map(j => rows.reduce((sum, { basis }) => sum + basis[i] * basis[j], 0)),
  )
  const solved = solve(
    sums as [number, number, number][],
    ([0, 1, 2] as const).map(i => rows.reduce((sum, { basis, out }) => sum + basis[i] * out, 0)) as [
      number,
      number,
      number,
    ],
  )
  if (!solved) return undefined
  const [out, along, up] = solved
  const points = readings.map(({ x, y, distance }) => ({
    x,
    y,
    out: -distance - out - (along * x) / 1000 - (up * y) / 1000,
  }))
  const byOut = [...points].sort((a, b) => a.out - b.out)
  const [lowest, highest] = [byOut[0]!, byOut.at(-1)!]
  return {
    plane: { out, along: along / 1000, up: up / 1000 },
    points,
    highest,
    lowest,
    flatness: highest.out - lowest.out,
  }
}

/** How far the face stands out at a place, by the readings around it, each the less the farther it is; mm. */
export function standsOut({ points, plane }: Relief, x: number, y: number): number {
  let [sum, weights] = [0, 0]
  for (const point of points) {
    const weight = 1 / ((point.x - x) ** 2 + (point.y - y) ** 2 + 1)
    sum += weight * point.out
    weights += weight
  }
  return plane.out + plane.along * x + plane.up * y + sum / weights
}

/**
 * What the depth adjusters must take up so that plates at these places carry one upright plane: the farthest out less
 * the farthest in, mm.
 */
export function takeUp(relief: Relief, places: { x: number, y: number }[]): number {
  const outs = places.map(({ x, y }) => standsOut(relief, x, y))
  return outs.length > 0 ? Math.max(...outs) - Math.min(...outs) : 0
}
