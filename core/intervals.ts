import type { Interval } from './geometry'

/** Where a stretch begins (1) or ends (−1). */
interface End { x: number, step: 1 | -1 }

/** From left to right; what begins at a place comes before what ends there. */
const fromLeft = (a: End, b: End) => a.x - b.x || b.step - a.step

/**
 * The places that lie in at least `times` of some sets of stretches, as stretches from left to right.
 * Stretches of one set must not overlap. One of any set is their union, all of them what they share.
 *
 * @example
 * coveredAtLeast(2, [[{ from: 0, to: 5 }], [{ from: 3, to: 9 }]]) // [{ from: 3, to: 5 }]
 */
export function coveredAtLeast(times: number, sets: Interval[][]): Interval[] {
  // Every plate asks this some thousand times a plan: lists of lists would cost most of it.
  const ends: End[] = []
  for (const set of sets) {
    for (const { from, to } of set) if (to >= from) ends.push({ x: from, step: 1 }, { x: to, step: -1 })
  }
  ends.sort(fromLeft)
  const found: Interval[] = []
  let count = 0
  for (const { x, step } of ends) {
    count += step
    if (step > 0 && count === times) found.push({ from: x, to: x })
    if (step < 0 && count === times - 1) found.at(-1)!.to = x
  }
  return found
}

/** All of some stretches as stretches that do not overlap. */
export function union(stretches: Interval[]): Interval[] {
  return coveredAtLeast(1, stretches.map(stretch => [stretch]))
}

/** The parts of some stretches that lie within another. */
export function clip({ from, to }: Interval, stretches: Interval[]): Interval[] {
  return stretches
    .map(stretch => ({ from: Math.max(stretch.from, from), to: Math.min(stretch.to, to) }))
    .filter(part => part.to >= part.from)
}

/** What is left of some stretches without others; the ends of what is taken away stay. */
export function subtract(stretches: Interval[], taken: Interval[]): Interval[] {
  return taken.reduce((left, { from, to }) => left.flatMap(stretch => stretch.to <= from || stretch.from >= to
    ? [stretch]
    : [{ from: stretch.from, to: from }, { from: to, to: stretch.to }].filter(part => part.to >= part.from)), stretches)
}

/** Whether a place lies in a stretch, to within the last bits of a double. */
export function liesIn({ from, to }: Interval, x: number): boolean {
  return x >= from - 1e-10 && x <= to + 1e-10
}
