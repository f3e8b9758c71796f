import type { Interval, Point } from '../../geometry'
import { nearestIn } from '../../geometry'
import { liesIn, subtract } from '../../intervals'
import { zone, type FixingZone } from './zones'

/**
 * Holes that serve nothing any more, and how far a new one stays from them, mm; and where the drill met a bar in
 * concrete, which may run up and down from there as well as sideways.
 */
export interface DeadHoles { at: Point[], keepOff: number, bars?: Point[] }

export const NONE_DEAD: DeadHoles = { at: [], keepOff: 0 }

/**
 * The stretches at a height that are too near to a dead hole, or to a bar that runs up and down. Beside a bar that runs
 * sideways no stretch of its height is left: that is said of the holes planned there.
 */
export function tooNear({ at, keepOff, bars = [] }: DeadHoles, y: number): Interval[] {
  const upright = bars.map(({ x }) => ({ from: x - keepOff, to: x + keepOff }))
  const around = at.filter(dead => Math.abs(dead.y - y) < keepOff).map((dead) => {
    const half = Math.sqrt(keepOff ** 2 - (dead.y - y) ** 2)
    return { from: dead.x - half, to: dead.x + half }
  })
  return [...around, ...upright]
}

/** What dead holes leave of some zones at all of some heights: parts of them, each with a middle of its own. */
export function clearOf(dead: DeadHoles, zones: FixingZone[], heights: number[]): FixingZone[] {
  const stretches = dead.at.length === 0 ? [] : heights.flatMap(y => tooNear(dead, y))
  if (stretches.length === 0) return zones
  return zones.flatMap((each) => {
    if (each.usable < 0 || !stretches.some(({ from, to }) => from < each.to && to > each.from)) return [each]
    return subtract([each], stretches)
      .filter(({ from, to }) => to - from > 1e-6)
      .map(({ from, to }) => zone(each.index, (from + to) / 2, (to - from) / 2, each.ply))
  })
}

/**
 * The place of a stretch that is nearest to a wanted one and clear of dead holes at a height; the wanted one where none
 * is.
 */
export function clearPlace(dead: DeadHoles, span: Interval, wanted: number, y: number): number {
  const left = subtract([span], tooNear(dead, y))
  if (left.length === 0 || left.some(part => liesIn(part, wanted))) return wanted
  return left
    .map(part => nearestIn(part, wanted))
    .reduce((best, x) => (Math.abs(x - wanted) < Math.abs(best - wanted) ? x : best))
}
