import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Wall } from '../../job'
import { routeMinutes } from '../../rules'
import type { Member } from '../../survey'
import { baysOf } from '../bays'
import { blockingIn } from '../blocking'
import { placesTo, reachedFrom } from './reached'
import { placeIn, supposing, waysOf, type Ways } from './ways'

const members = [400, 800, 1200, 1600].map((centre): Member => ({ centre, width: 38, sd: 0, plies: 1 } as Member))
const wallWith = (blocking: Wall['blocking']): Wall => ({
  id: 'w', name: 'w', width: 2_000, height: 3_000, arrays: [],
  covering: [{ material: 'plasterboard', thickness: 12.5 }],
  structure: { kind: 'wood-stud', memberDepth: 89, members: [] }, void: { above: 'open', below: 'open' }, blocking,
})
const ends = [{ x: 200, y: 300 }, { x: 1_000, y: 1_500 }, { x: 1_800, y: 2_200 }]
const waysIn = (wall: Wall) =>
  waysOf({ wall, bays: baysOf(wall, members), members, spent: routeMinutes({}) }, ends, [])

describe('what is reached', () => {
  it('is the same where a bay is supposed to be blocked and where it is', () => {
    const blocked = fc.record({ bay: fc.integer({ min: 0, max: 4 }), y: fc.integer({ min: 100, max: 2_900 }) })
    fc.assert(fc.property(blocked, fc.integer({ min: 0, max: 2 }), fc.nat(9), ({ bay, y }, end, perMetre) => {
      // A line went through all other bays, so that they are known to be free in both.
      const others = [0, 1, 2, 3, 4].filter(each => each !== bay)
      const passed = others.map(each => ({ x1: 400 * each + 30, x2: 400 * each + 370, y1: 0, y2: 3_000 }))
      const blocking = [{ id: 'k', y, found: true, x1: 400 * bay + 50, x2: 400 * bay + 350 }]
      const [free, is] = [[], blocking].map(each => waysIn({ ...wallWith(each), passed })) as [Ways, Ways]
      const own = blockingIn(is.wall, is.bays[bay]!)
      expect(own.map(({ likely }) => likely)).toContain(1)
      const [supposed, real] = [supposing(free, bay, own), is].map((ways) => {
        const start = placeIn(ways, [0, 2, 4][end]!, ends[end]!.y)
        const reached = reachedFrom(ways, [start], { hole: 20, avoid: new Set<number>(), perMetre })
        return ends.map((each, n) => reached.minutes[placeIn(ways, [0, 2, 4][n]!, each.y)]!)
      })
      for (const [n, minutes] of real!.entries()) expect(supposed![n]).toBeCloseTo(minutes, 6)
    }))
  })

  it('keeps out of bays and voids that a bundle may not enter, and ends once its goals are known', () => {
    const ways = waysIn(wallWith([]))
    const [start, goal] = [placeIn(ways, 0, 300), placeIn(ways, 4, 2_200)]
    const by = (more: object) => reachedFrom(ways, [start], { hole: 20, avoid: new Set<number>(), ...more }, [goal])
    const levelsOf = (reached: ReturnType<typeof by>) => placesTo(reached, goal)
    const [below, above] = ['below', 'above'].map(only => levelsOf(by({ only, hole: 60 })))
    const beyond = ways.bays.length * ways.levels.length
    expect(below!.filter(place => place >= beyond).every(place => place >= beyond + ways.bays.length)).toBe(true)
    expect(above!.filter(place => place >= beyond).every(place => place < beyond + ways.bays.length)).toBe(true)
    expect(by({ avoid: new Set([4]) }).minutes[goal]).toBe(Infinity)
    // Four studs of 40 min each are dearer than the void: 2 plates of 12, 1.6 m along it, and the bays.
    expect(by({}).minutes[goal]).toBeCloseTo(2 * 12 + 1.6 + Math.min(0.3 + 3 * 2.2, 3 * 2.7 + 0.8), 1)
  })
})
