import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../../tests/fixtures/job'
import type { Cell } from '../../arrange'
import type { Mount, ScreenArray } from '../../job'
import { NOTHING_BUILT, type AsBuilt, type IssuedPlate } from '../../log'
import { PROGRAM } from '../../program'
import { leastHoles, placeLeast, standingArray } from './leastChange'
import type { Substrate } from './substrate'
import { zone, type FixingZone } from '../holes/zones'
import { cases } from '../../../tests/fixtures/soak'

/** A small world in whole millimetres: plates of two slots, each wanting two members. */
const SLOTS = [[-9, -3], [3, 9]] as const
const mountOf = (travel: number): Mount => ({
  ...exampleJob().catalogue.mounts[0]!,
  plate: {
    width: 19,
    height: 10,
    thickness: 2,
    slots: SLOTS.map(([x1, x2]) => ({ row: 'top', y: 0, x1, x2, diameter: 1 })),
  },
  interface: { x: 0, y: 0 },
  needs: { members: 2, rows: ['top'] },
  adjust: { lateral: travel, height: 0, depth: 0, roll: 0 },
})
const cellsAt = (places: number[]): Cell[] =>
  places.map(
    (x, n) =>
      ({ row: 1, column: n + 1, model: 'd', orientation: 'landscape', pattern: { x, y: 0 } }) as unknown as Cell,
  )
const arrayOf = (columns: number, tolerance: number): ScreenArray => ({
  ...exampleJob().walls[0]!.arrays[0]!,
  id: 'a',
  rows: 1,
  columns,
  shiftTolerance: { x: tolerance, y: 0 },
})
const framing = (zones: FixingZone[]): Substrate => ({
  allOver: false,
  along: () => [],
  up: () => [],
  holes: () => [],
  at: () => ({}),
  plySpacing: () => undefined,
  seats: () => [
    {
      row: 'top',
      spans: SLOTS.map(([from, to], slot) => ({ from, to, slot, y: 0 })),
      zones,
      wanted: 2,
      at: (x, { index }) => ({ member: index }),
    },
  ],
})
const wall = { ...exampleJob().walls[0]!, features: [] }

interface World {
  zones: FixingZone[]
  nominal: number[]
  travel: number
  tolerance: number
  issued: { centre: number, holes: number[] }[]
}
type Totals = [unheld: number, plates: number, marks: number, sum: number]
const beats = (a: Totals, b: Totals | undefined) =>
  !b || a.some((each, n) => each < b[n]! && a.slice(0, n).every((before, k) => before === b[k]))

/**
 * By trying it all: the least marks and millimetres that a plate's holes cost from a place, or undefined where it is
 * not held.
 */
function tried(x: number, holes: number[], zones: FixingZone[]): [number, number] | undefined {
  const reach = (z: FixingZone) =>
    Array.from({ length: z.to - z.from + 1 }, (_, n) => z.from + n).filter(at =>
      SLOTS.some(([from, to]) => at >= x + from && at <= x + to),
    )
  let best: [number, number] | undefined
  for (const a of zones) {
    for (const b of zones.filter(({ index }) => index !== a.index)) {
      for (const p of reach(a)) {
        for (const q of reach(b)) {
          const moves = [Math.abs(p - holes[0]!), Math.abs(q - holes[1]!)]
          const cost: [number, number] = [moves.filter(by => by > 0).length, moves[0]! + moves[1]!]
          if (!best || cost[0] < best[0] || (cost[0] === best[0] && cost[1] < best[1])) best = cost
        }
      }
    }
  }
  return best
}

function bruteForce({ zones, nominal, travel, tolerance, issued }: World): Totals {
  let best: Totals | undefined
  const known = issued.map(() => new Map<number, [number, number] | undefined>())
  const go = (n: number, shift: number, before: number, totals: Totals) => {
    if (n === nominal.length) {
      if (beats(totals, best)) best = totals
      return
    }
    for (let x = nominal[n]! + shift - travel; x <= nominal[n]! + shift + travel; x++) {
      if (x - before < 19) continue
      if (!known[n]!.has(x)) known[n]!.set(x, tried(x, issued[n]!.holes, zones))
      const cost = known[n]!.get(x)
      go(n + 1, shift, x, [
        totals[0] + (cost ? 0 : 1),
        totals[1] + (x === issued[n]!.centre ? 0 : 1),
        totals[2] + (cost?.[0] ?? 0),
        totals[3] + (cost?.[1] ?? 0),
      ])
    }
  }
  for (let shift = -tolerance; shift <= tolerance; shift++) go(0, shift, -Infinity, [0, 0, 0, 0])
  return best!
}

/** What the core places, counted from where its plates and holes then are. */
function placed({ zones, nominal, travel, tolerance, issued }: World): Totals {
  const array = arrayOf(nominal.length, tolerance)
  const cells = cellsAt(nominal)
  const plates: IssuedPlate[] = issued.map(({ centre, holes }, n) => ({
    screen: `a-r1c${n + 1}`,
    centre: { x: centre, y: 0 },
    holes: holes.map((x, k) => ({ id: `a-r1c${n + 1}-top-${k + 1}`, row: 'top', x, y: 0 })),
  }))
  const built: AsBuilt = {
    ...NOTHING_BUILT,
    issued: { revision: 'A', id: 'f', program: PROGRAM, arrays: [{ array, shift: { x: 0, y: 0 }, plates }] },
  }
  const { shift, plates: slides } = placeLeast(
    { array, cells, mountOf: () => mountOf(travel) },
    { wall, substrate: framing(zones) },
    built,
    standingArray(array, built)!,
  )
  return cells.reduce<Totals>((sum, cell, n) => {
    const x = cell.pattern.x + shift.x + slides[n]!.lateralShift
    expect(Math.abs(slides[n]!.lateralShift)).toBeLessThanOrEqual(travel + 1e-6)
    const cost = tried(Math.round(x), issued[n]!.holes, zones)
    const holes = leastHoles(
      framing(zones),
      mountOf(travel),
      { x, y: 0 },
      plates[n]!.holes.map(hole => ({ ...hole, fixed: false })),
    )
    const by = holes?.map(({ id, x: to }) => Math.abs(to - plates[n]!.holes.find(hole => hole.id === id)!.x))
    expect(by?.filter(mm => mm > 1e-6).length).toBe(cost?.[0])
    if (by) expect(by.reduce((a, b) => a + b, 0)).toBeCloseTo(cost![1], 5)
    expect(x).toBeCloseTo(Math.round(x), 6)
    return [
      sum[0] + (cost ? 0 : 1),
      sum[1] + (Math.abs(x - issued[n]!.centre) < 1e-6 ? 0 : 1),
      sum[2] + (cost?.[0] ?? 0),
      sum[3] + (cost?.[1] ?? 0),
    ]
  }, [0, 0, 0, 0])
}

const members = fc.array(fc.record({ gap: fc.integer({ min: 5, max: 14 }), usable: fc.integer({ min: 0, max: 2 }) }), {
  minLength: 6,
  maxLength: 9,
})
const world = fc
  .record({
    members,
    columns: fc.integer({ min: 1, max: 3 }),
    travel: fc.integer({ min: 0, max: 4 }),
    tolerance: fc.integer({ min: 0, max: 2 }),
    issuedBy: fc.array(fc.integer({ min: -4, max: 4 }), { minLength: 3, maxLength: 3 }),
    gone: fc.nat(20),
    moved: fc.nat(8),
    by: fc.integer({ min: -5, max: 5 }),
  })
  .map(({ members, columns, travel, tolerance, issuedBy, gone, moved, by }): World => {
    let x = -14
    const zones = members.map(({ gap, usable }, index) => zone(index, (x += gap), usable))
    const nominal = Array.from({ length: columns }, (_, n) => 20 * n)
    const issued = nominal.map((at, n) => {
      const centre = at + Math.max(-travel, Math.min(travel, issuedBy[n]!))
      const near = zones
        .map(({ centre: middle }) => middle)
        .filter(middle => SLOTS.some(([from, to]) => middle >= centre + from && middle <= centre + to))
      return { centre, holes: [near[0] ?? centre - 6, near[1] ?? near[0] ?? centre + 6] }
    })
    // One member is not where it was thought to be, and one is gone.
    return {
      zones: zones
        .map((each, n) => (n === moved ? zone(n, each.centre + by, each.usable) : each))
        .filter((_, n) => n !== gone),
      nominal,
      travel,
      tolerance,
      issued,
    }
  })

describe('the least change', () => {
  it('moves no more plates, no more marks and them no farther than trying every place does', () => {
    let [moved, held] = [0, 0]
    fc.assert(fc.property(world, (world) => {
      const best = bruteForce(world)
      const own = placed(world)
      if (best[1] + best[2] > 0) moved++
      if (best[0] === 0) held++
      expect(own.slice(0, 2)).toEqual(best.slice(0, 2))
      expect(own[2]).toBe(best[2])
      expect(own[3]).toBeCloseTo(best[3], 5)
    }), { numRuns: cases(300) })
    // The worlds are such that there is something to move, and often something to hold.
    expect([moved > 100, held > 60]).toEqual([true, true])
  })

  it('leaves an array alone that is decided otherwise than it was issued', () => {
    const array = arrayOf(1, 0)
    const built: AsBuilt = {
      ...NOTHING_BUILT,
      issued: { revision: 'A', id: 'f', program: PROGRAM, arrays: [{ array, shift: { x: 0, y: 0 }, plates: [] }] },
    }
    expect(standingArray({ ...array, needs: mountOf(0).needs }, built)).toBeDefined()
    expect(standingArray({ ...array, gap: { x: 9, y: 9 } }, built)).toBeUndefined()
    expect(standingArray(array, NOTHING_BUILT)).toBeUndefined()
  })
})
