import type { Mount, Slot } from '../job'
import { reached, type Landing } from './landing'

/** A plate's shift from nominal, + to the right, and the smallest margin of its fasteners there, mm. */
export interface Shift { by: number, margin: number }

const EPSILON = 1e-9

/**
 * Smallest margin over every fastener that a plate needs at `plateX`, each row taking its best
 * members; −∞ where some row does not reach as many distinct members as it needs.
 */
export function smallestMargin({ plate, needs }: Mount, plateX: number, landings: Landing[]): number {
  const margins = needs.rows.map((row) => {
    const landed = reached(plate.slots, row, plateX, landings)
    return landed[needs.members - 1]?.margin ?? -Infinity
  })
  return Math.min(...margins)
}

type Span = Pick<Slot, 'x1' | 'x2'>

/** Slots above each other land alike; one of each span is enough to search with. */
function spansOf({ plate, needs }: Mount): Span[] {
  const wanted = plate.slots.filter(({ row }) => needs.rows.includes(row))
  return [...new Map(wanted.map(slot => [`${slot.x1} ${slot.x2}`, slot])).values()]
}

/** Every shift at which a slot begins or ceases to reach a member: where a plate can begin to be held. */
function touchingShifts(spans: Span[], nominalX: number, landings: Landing[]): number[] {
  return [0, ...spans.flatMap(({ x1, x2 }) => landings.flatMap(({ from, to }) => [from - nominalX - x2, to - nominalX - x1]))]
}

/**
 * Every shift at which the smallest margin can have its peak.
 *
 * A margin rises one for one until its slot stands over the member's centre, stays level, and
 * falls one for one; so a peak lies at a corner of one such line or where a rising line meets a
 * falling one. Trying them all makes the search exact.
 */
function peakShifts(spans: Span[], nominalX: number, landings: Landing[]): number[] {
  const corners: number[] = []
  const rising: number[] = []
  const falling: number[] = []
  for (const { x1, x2 } of spans) {
    for (const { centre, usable } of landings) {
      const [arrives, leaves] = [centre - nominalX - x2, centre - nominalX - x1]
      corners.push(arrives, leaves)
      rising.push(usable - arrives)
      falling.push(usable + leaves)
    }
  }
  return [...corners, ...rising.flatMap(up => falling.map(down => (down - up) / 2))]
}

/** Those of some shifts that hold the plate, with the margin each leaves; within ± `range`, each once. */
function holding(shifts: number[], mount: Mount, nominalX: number, landings: Landing[], range: number): Shift[] {
  return [...new Set(shifts)]
    .filter(by => Math.abs(by) <= range + EPSILON)
    .map(by => ({ by, margin: smallestMargin(mount, nominalX + by, landings) }))
    .filter(({ margin }) => margin >= -EPSILON)
}

/** Members that some slot can come near with its plate within ± `range` of nominal. */
function within(spans: Span[], nominalX: number, landings: Landing[], range: number): Landing[] {
  return landings.filter(({ from, to }) => spans.some(({ x1, x2 }) => to >= nominalX + x1 - range && from <= nominalX + x2 + range))
}

const smaller = (a: Shift, b: Shift) => Math.abs(b.by) < Math.abs(a.by) - EPSILON ? b : a

/** The least shift within ± `range` of nominal that holds a plate, or undefined. */
export function leastShift(mount: Mount, nominalX: number, landings: Landing[], range: number): Shift | undefined {
  const spans = spansOf(mount)
  const near = within(spans, nominalX, landings, range)
  const held = holding(touchingShifts(spans, nominalX, near), mount, nominalX, near, range)
  return held.length > 0 ? held.reduce(smaller) : undefined
}

/**
 * The shift within ± `range` of nominal that leaves most wood round the fastener that has least;
 * among equals the smaller one. Undefined where none holds the plate.
 */
export function bestShift(mount: Mount, nominalX: number, landings: Landing[], range: number): Shift | undefined {
  const spans = spansOf(mount)
  const near = within(spans, nominalX, landings, range)
  const shifts = [...touchingShifts(spans, nominalX, near), ...peakShifts(spans, nominalX, near), -range, range]
  const held = holding(shifts, mount, nominalX, near, range)
  if (held.length === 0) return undefined
  return held.reduce((a, b) => {
    if (Math.abs(b.margin - a.margin) > EPSILON) return b.margin > a.margin ? b : a
    return smaller(a, b)
  })
}
