import fc from 'fast-check'
import { expect, it } from 'vitest'
import { exampleWall } from '../../../tests/fixtures/job'
import type { Wall } from '../../job'
import { routeMinutes } from '../../rules'
import type { Member } from '../../survey'
import type { BoxPlan } from '../boxes/boxes'
import { methodOf } from './powerMethods'
import { reaching } from './reach'
import { routesOf, endsOf, type Wanted } from './routes'
import { waysOf } from './ways'
import { cases } from '../../../tests/fixtures/soak'

/*
 * Every way through a small wall, tried one after another, with minutes calculated here by the figures of
 * docs/calculations/wiring.md and not by the code under test.
 */
interface World {
  pieces: number[]
  depth: number
  bears: boolean | undefined
  insulated: boolean
  above: 'open' | 'none' | 'plenum'
  below: 'open' | 'none'
  looked: boolean
  rows: { y: number, found: boolean, bay: number | undefined }[]
  passed: { bay: number, y1: number, y2: number }[]
  box: { bay: number, y: number }
  source: { bay: number, y: number } | undefined
  plate: { x: number, y: number } | undefined
}
const HEIGHT = 2700
const CENTRES = [100, 500, 900, 1300]
const bays = CENTRES.slice(1).map((to, n) => ({ from: CENTRES[n]! + 19 + 10, to: to - 19 - 10, left: n, right: n + 1 }))
const middle = (n: number) => (CENTRES[n]! + CENTRES[n + 1]!) / 2

function wallOf({ depth, bears, insulated, above, below, looked, rows, passed, source }: World): Wall {
  return {
    ...exampleWall(),
    width: 1400,
    height: HEIGHT,
    features: [],
    arrays: [],
    void: { above, below },
    structure: { kind: 'wood-stud', memberDepth: depth, memberWidth: 38 },
    ...(bears !== undefined && { bearing: bears }),
    ...(insulated && { insulation: 'mineral wool' }),
    ...(looked && {
      blocking: rows.map(({ y, found, bay }, n) => ({
        id: `k${n}`,
        y,
        found,
        ...(bay !== undefined && { x1: bays[bay]!.from, x2: bays[bay]!.to }),
      })),
    }),
    passed: passed.map(({ bay, y1, y2 }) => ({ x1: bays[bay]!.from, x2: bays[bay]!.to, y1, y2 })),
    sources: [{ id: 's', kind: source ? 'outlet' : 'circuit', ...(source && { x: middle(source.bay), y: source.y }) }],
  }
}

/** What stands across a bay at a height, with its likelihood. */
function across({ looked, rows, passed }: World, bay: number): { y: number, p: number }[] {
  const all = looked
    ? rows.map(row => ({ y: row.y, p: row.found ? (row.bay === undefined || row.bay === bay ? 1 : 0.7) : 0.5 }))
    : [{ y: HEIGHT / 2, p: 0.3 }]
  return all.filter(
    ({ y, p }) =>
      p === 1
      || !passed.some(
        went => went.bay === bay && y >= Math.min(went.y1, went.y2) + 20 && y <= Math.max(went.y1, went.y2) - 20,
      ),
  )
}

/** The least minutes from the source, or from what is open, to the box: every way that passes no place twice. */
function cheapest(world: World): number {
  const levels = [...new Set([0, HEIGHT, world.box.y, ...world.source ? [world.source.y] : []])].sort((a, b) => a - b)
  const minutesBetween = (bay: number, from: number, to: number) => {
    const metres = Math.abs(to - from) / 1000
    const rate = to < from ? (world.insulated ? 4 : 1) : world.insulated ? 6 : 3
    return (
      metres * rate
      + across(world, bay)
        .filter(({ y }) => y > Math.min(from, to) && y <= Math.max(from, to))
        .reduce((sum, { p }) => sum + 42 * p, 0)
    )
  }
  const mayCross = (n: number, y: number) => {
    // 20 mm: 40 % of a stud that may bear, 60 % of one that does not, and 16 mm left at either edge.
    if (20 > (world.bears === false ? 0.6 : 0.4) * world.depth || 20 + 32 > world.depth) return false
    if (!world.plate) return true
    const { x, y: low } = world.plate
    // An opening of 150 × 100 about the stud must not lie before a plate of 300 × 300.
    return !(CENTRES[n]! - 75 < x + 300 && x < CENTRES[n]! + 75 && y - 50 < low + 300 && low < y + 50)
  }
  const open = (side: string) => (side === 'above' ? world.above : world.below) !== 'none'
  let best = Infinity
  const goal = `${world.box.bay} ${world.box.y}`
  const walk = (bay: number, y: number, place: string, spent: number, seen: Set<string>) => {
    if (spent >= best || seen.has(place)) return
    if (place === goal) {
      best = spent
      return
    }
    const on = new Set([...seen, place])
    if (place.startsWith('v')) {
      const side = place.slice(1, 6)
      walk(bay, y, `${bay} ${y}`, spent + 12, on)
      for (const next of [bay - 1, bay + 1])
        if (next >= 0 && next < 3)
          walk(next, y, `v${side}${next}`, spent + Math.abs(middle(next) - middle(bay)) / 1000, on)
      return
    }
    const at = levels.indexOf(y)
    for (const next of [levels[at - 1], levels[at + 1]])
      if (next !== undefined) walk(bay, next, `${bay} ${next}`, spent + minutesBetween(bay, y, next), on)
    if (y === HEIGHT && open('above')) walk(bay, y, `vabove${bay}`, spent + 12, on)
    if (y === 0 && open('below')) walk(bay, y, `vbelow${bay}`, spent + 12, on)
    for (const next of [bay - 1, bay + 1])
      if (next >= 0 && next < 3 && mayCross(Math.max(bay, next), y)) walk(next, y, `${next} ${y}`, spent + 40, on)
  }
  if (world.source) walk(world.source.bay, world.source.y, `${world.source.bay} ${world.source.y}`, 0, new Set())
  else
    for (const [side, y] of [
      ['above', HEIGHT],
      ['below', 0],
    ] as const)
      if (open(side)) for (let bay = 0; bay < 3; bay++) walk(bay, y, `v${side}${bay}`, 0, new Set())
  return best
}

const height = fc.integer({ min: 200, max: HEIGHT - 200 })
const bay = fc.integer({ min: 0, max: 2 })
const world: fc.Arbitrary<World> = fc.record({
  pieces: fc.constant(CENTRES),
  depth: fc.constantFrom(45, 50, 63, 89),
  bears: fc.constantFrom(undefined, true, false),
  insulated: fc.boolean(),
  above: fc.constantFrom('open' as const, 'none' as const, 'plenum' as const),
  below: fc.constantFrom('open' as const, 'none' as const),
  looked: fc.boolean(),
  rows: fc.array(fc.record({ y: height, found: fc.boolean(), bay: fc.option(bay, { nil: undefined }) }), {
    maxLength: 3,
  }),
  passed: fc.array(fc.record({ bay, y1: height, y2: height }), { maxLength: 2 }),
  box: fc.record({ bay, y: height }),
  source: fc.option(fc.record({ bay, y: height }), { nil: undefined }),
  plate: fc.option(fc.record({ x: fc.integer({ min: 0, max: 1200 }), y: fc.integer({ min: 0, max: 2400 }) }), {
    nil: undefined,
  }),
})

it('the way that is taken is as quick as the quickest of all, and its legs add up to it', () => {
  let reached = 0
  fc.assert(fc.property(world, (each) => {
    const wall = wallOf(each)
    const members = CENTRES.map((centre): Member => ({ centre, width: 38, sd: 0, plies: 1 } as Member))
    const box = {
      id: 'b',
      kind: 'power',
      x: middle(each.box.bay),
      y: each.box.y,
      for: ['x'],
      bay: [0, 1],
      held: true,
    } as unknown as BoxPlan
    const method = methodOf('power', {})
    const wanted: Wanted[] = [{ id: 'r', box, kind: 'power', method, source: wall.sources![0], hole: 20 }]
    const plates = each.plate ? [{ ...each.plate, width: 300, height: 300 }] : []
    const ways = waysOf({ wall, bays, members, spent: routeMinutes({}) }, endsOf(wanted, wall), plates)
    const {
      routes: [route],
      noWay,
    } = routesOf(ways, wanted, { cases: [], apart: true, rules: {}, reach: reaching(ways) })
    const least = cheapest(each)
    expect(noWay.length).toBe(least === Infinity ? 1 : 0)
    if (!route) return
    reached++
    expect(route.minutes).toBeCloseTo(10 + least, 6)
    expect(route.legs.reduce((sum, { minutes }) => sum + minutes, 10)).toBeCloseTo(route.minutes, 6)
    // Every leg begins where the one before it ended, and the last ends at the box.
    route.legs.slice(1).forEach((leg, n) => expect(leg.from).toEqual(route.legs[n]!.to))
    // Beside its box, in its bay, it slants over to it, and is so much longer.
    if (each.source) expect(route.legs[0]?.from ?? box).toMatchObject({ x: middle(each.source.bay) })
    if (route.legs.length > 0) expect(route.legs.at(-1)!.to).toEqual({ x: box.x, y: box.y })
    // Blocking that was found is opened, once, wherever the line passes it.
    const met = route.legs.filter(({ from, to }) => from.x === to.x).flatMap(({ from, to }) => {
      const here = bays.findIndex(each => from.x > each.from && from.x < each.to)
      return across(each, here).filter(
        ({ y, p }) => p === 1 && y > Math.min(from.y, to.y) && y <= Math.max(from.y, to.y),
      )
    })
    expect(route.legs.filter(({ method }) => method === 'opening at blocking').length).toBe(met.length)
  }), { numRuns: cases(400) })
  expect(reached).toBeGreaterThan(150)
})
