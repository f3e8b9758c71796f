import { describe, expect, it } from 'vitest'
import { ownCircuits, wiredWall } from '../../../tests/fixtures/wired'
import { studs } from '../../../tests/fixtures/job'
import type { CableModel, Job, Rules, Wall } from '../../job'
import { boreFor } from './bore'
import { conduitFor } from './powerMethods'

const cable = (id: string, change: Partial<CableModel>): CableModel => ({
  id, kind: 'power', diameter: 10, lengths: [25_000, 50_000], amps: 20, area: 2.5, inWall: true, ...change,
})
const CABLES = [
  cable('nm', {}), cable('mc', { construction: 'metal-clad', diameter: 13 }),
  cable('w', { construction: 'conductors', diameter: 4.2 }),
]
const by = (rules: Rules, change: (wall: Wall, job: Job) => void = () => {}) => wiredWall(CABLES, (wall, job) => {
  ownCircuits(wall)
  wall.rules = { ...wall.rules, ...rules }
  change(wall, job)
})
/** One box, fed from a source three bays to its left, without a void. */
const aside = (wall: Wall) => {
  wall.boxes = [wall.boxes![2]!]
  wall.sources = [{ id: 's1', kind: 'circuit', amps: 16, volts: 230, x: 2_100, y: 2_900 }]
  wall.void = { above: 'none', below: 'none' }
}
const onSteel = (wall: Wall) => {
  wall.structure = { kind: 'steel-stud', memberWidth: 41, memberDepth: 92, gauge: 0.84, members: studs(400, 800) }
}

describe('how power runs in a wall', () => {
  it('takes the cable that its method is made with, and no other', () => {
    const taken = (rules: Rules) => new Set(by(rules).cables.filter(({ kind }) => kind === 'power')
      .map(({ model }) => model?.id))
    expect([{}, { powerWiring: 'metal-clad' }, { powerWiring: 'conduit' }].map(rules => [...taken(rules as Rules)]))
      .toEqual([['nm'], ['mc'], ['w']])
    const none = wiredWall([CABLES[0]!], (wall) => { wall.rules = { powerWiring: 'conduit' } })
    expect(none.said.find(({ code }) => code === 'cable-construction')!.message).toContain(
      'requires conductors for conduit, and the catalogue has none')
  })

  it('bores for the conduit, which three conductors fill to 40 % at most', () => {
    // √(3 ÷ 0.4) = 2.739 diameters inside: 4.2 → 11.5, 5.2 → 14.24, 9 → 24.6 and more than any.
    expect([4.2, 5.2, 8.8, 9].map(diameter => conduitFor(diameter)?.outside)).toEqual([20, 25, 32, undefined])
    expect(boreFor([{ diameter: 4.2, conduit: 20 }])).toBe(25)
    const { routes } = by({ powerWiring: 'conduit' })
    expect(new Set(routes.map(({ hole }) => hole))).toEqual(new Set([25]))
  })

  it('takes longer by its metres, ends and bends, as the firm has them', () => {
    const [plain, clad, pipe] = [by({}), by({ powerWiring: 'metal-clad' }), by({ powerWiring: 'conduit' })]
    for (const [n, { minutes, length, bends }] of plain.routes.entries()) {
      expect(clad.routes[n]!.minutes).toBeCloseTo(minutes + 2 * length / 1000 + 2 * 6, 6)
      expect(pipe.routes[n]!.minutes).toBeCloseTo(minutes + 5 * length / 1000 + 2 * 8 + 3 * bends, 6)
    }
    const own = by({ minutesEnter: 4, minutesPlate: 20, minutesDrop: 0.5 })
    for (const [n, { minutes, length }] of plain.routes.entries())
      expect(own.routes[n]!.minutes).toBeCloseTo(minutes - 6 + 8 - 0.5 * length / 1000, 6)
    expect(clad.works.connectors).toBe(12)
  })

  it('asks for grommets in steel, but for metal-clad cable and conduit, and for a look at local code', () => {
    const told = (rules: Rules) => {
      const { works, codes } = by(rules, onSteel)
      return [works.grommets === works.bores.length && works.grommets > 0, codes.includes('steel-stud-wiring')]
    }
    expect(told({})).toEqual([true, true])
    expect(told({ powerWiring: 'sheathed' })).toEqual([true, false])
    expect(told({ powerWiring: 'metal-clad' })).toEqual([false, false])
    expect(by({}).works.grommets).toBe(0)
  })

  it('needs a pull box past four quarter bends', () => {
    const around = by({ powerWiring: 'conduit' }, (wall) => {
      aside(wall)
      // Each stud can be crossed at one height only, low, high and low again, so that the way goes down and up.
      wall.features = [[2_300, 600, 2_700], [2_900, 0, 2_600], [3_300, 600, 2_700]].map(([x, y, height], n) =>
        ({ id: `f${n}`, kind: 'recess', x: x! - 10, y: y!, width: 20, height: height! }))
    })
    expect(around.routes.map(({ bends, pullBoxes }) => [bends, pullBoxes])).toEqual([[6, 1]])
    expect(around.works.pullBoxes).toBe(1)
    expect(around.said.find(({ code }) => code === 'conduit-bends')!.message).toContain('has 6 quarter bends')
  })

  it('is expected in line with a box, an outlet, the ceiling or a corner, and told elsewhere, but not under NEC', () => {
    const told = (change: (wall: Wall, job: Job) => void, rules: Rules = {}) =>
      by(rules, change).said.filter(({ code }) => code === 'route-outside-zones').map(({ message }) => message)
    expect(told(() => {})).toEqual([])
    // A plate behind the screen has the line cross above it, in line with nothing.
    expect(told(aside)).toEqual([expect.stringMatching(/^The power route to box b-r1c3 runs level at 2170.4 mm above/)])
    expect(told(aside, { powerWiring: 'metal-clad' })).toEqual([])
    expect(told((wall, job) => {
      aside(wall)
      job.site.electricalRules = 'nec'
    })).toEqual([])
  })
})
