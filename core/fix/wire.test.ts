import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { holeSteps } from '../hang'
import type { Job, LogEntry, Mount } from '../job'
import { asBuilt } from '../log'
import { plateHoles } from '../mount'
import { contextOf, planWall } from '../plan'
import { fix, wireForce } from './index'
import { slackFor } from './wire'

type Wire = NonNullable<Mount['wire']>
const WIRE: Wire = { length: 420, slack: 0, breakingLoad: 6_000, stretch: 3 }

function jobOf(wire: Partial<Wire> = {}, change: (job: Job) => void = () => {}): Job {
  const job = exampleJob()
  job.catalogue.mounts[0]!.secures = ['safety-wire']
  job.catalogue.mounts[0]!.wire = { ...WIRE, ...wire }
  change(job)
  return job
}
function planned(job: Job, log: LogEntry[] = []) {
  const plan = planWall(job.walls[0]!, contextOf(job), asBuilt(log, { id: 'w1' }))
  const { positions } = plan.arrays[0]!
  const anchors = positions.map(({ holes = [] }) => holes.find(({ secures }) => secures))
  const codes = plan.findings.filter(({ code }) => code.startsWith('safety-wire')).map(({ code }) => code)
  return { plan, positions, anchors, codes }
}

describe('the force on a safety wire', () => {
  it('is what the energy of the fall asks, by hand', () => {
    // 21.5 kg weigh 210.8 N. k = 6000 ÷ (420·0.03) = 476.2 N/mm.
    // 210.8·(1 + √(1 + 2·476.2·10 ÷ 210.8)) = 1643.7 N.
    expect(wireForce({ ...WIRE, slack: 10 }, 210.8)).toBeCloseTo(1643.7, 0)
    expect(wireForce({ ...WIRE, slack: 0 }, 210.8)).toBeCloseTo(421.6, 6)
  })

  it('does the work of the fall, and slack is found back from it', () => {
    const from = (min: number, max: number) => fc.double({ min, max, noNaN: true })
    fc.assert(fc.property(from(0, 200), from(50, 1_500), from(1, 10), (slack, weight, stretch) => {
      const wire = { ...WIRE, slack, stretch }
      const force = wireForce(wire, weight)
      const give = force * wire.length * stretch / 100 / wire.breakingLoad
      expect(force * give / 2).toBeCloseTo(weight * (slack + give), 4)
      expect(slackFor(wire, weight, force)).toBeCloseTo(slack, 6)
    }), { numRuns: 50 })
  })
})

describe('the anchor of a safety wire', () => {
  it('is a hole in a stud behind each display, apart from its plate, and loads no plate', () => {
    const { positions, anchors } = planned(jobOf())
    const bare = planned(jobOf({}, (job) => { delete job.catalogue.mounts[0]!.wire }))
    positions.forEach(({ plate, outer, pattern, loads }, n) => {
      const { x, y, margin, bit, row } = anchors[n]!
      expect({ margin: margin! >= 0, bit: bit! > 0, row }).toEqual({ margin: true, bit: true, row: 'wire' })
      expect(x > outer.x && x < outer.x + outer.width && y > pattern.y && y < outer.y + outer.height).toBe(true)
      const { rect } = plate!
      expect(y > rect.y + rect.height || x < rect.x || x > rect.x + rect.width).toBe(true)
      expect(Math.hypot(x - pattern.x, y - pattern.y)).toBeLessThanOrEqual(WIRE.length + 1e-6)
      expect(plateHoles(positions[n]!)).toEqual(bare.positions[n]!.holes)
      expect(loads).toEqual(bare.positions[n]!.loads)
    })
    expect(bare.codes).toEqual(['safety-wire-not-sized'])
  })

  it('is marked, and drilled with the other holes', () => {
    const { plan, anchors } = planned(jobOf())
    const { id } = anchors[0]!
    expect(plan.marking.marks.find(mark => mark.id === id)).toMatchObject({ kind: 'hole', label: 'R1 C1 wire 1' })
    expect(holeSteps(plan.arrays).find(({ hole }) => hole.id === id)!.label).toBe('R1 C1 wire 1')
  })

  it('stays where it was drilled, and goes elsewhere where it missed', () => {
    const { id, x, y } = planned(jobOf()).anchors[0]!
    const drilled = (result: 'hit' | 'miss', at: { x: number, y: number }): LogEntry[] => [{
      id: result, at: '2026-11-12T09:00:00Z', by: 'Odd', wall: 'w1', kind: 'hole', hole: id, ...at, result,
    }]
    expect(planned(jobOf(), drilled('hit', { x: x + 5, y: y + 4 })).anchors[0])
      .toMatchObject({ id, x: x + 5, y: y + 4, made: 'hit' })
    // The display is moved away from it: it gets another anchor, of another name.
    const away = jobOf({}, ({ walls: [wall] }) => { wall!.arrays[0]!.at.x.value += 1200 })
    const other = planned(away, drilled('hit', { x, y })).anchors[0]!
    expect([other.id === id, Math.abs(other.x - x) > 400, other.made]).toEqual([false, true, undefined])
    const again = planned(jobOf(), drilled('miss', { x, y })).anchors[0]!
    expect(Math.hypot(again.x - x, again.y - y)).toBeGreaterThan(20)
    expect(again.made).toBeUndefined()
  })

  it('is refused where a fall is too much for wire or anchor, or no place is in reach', () => {
    expect(planned(jobOf()).codes).toEqual([])
    expect(planned(jobOf({ slack: 100 })).codes).toContain('safety-wire-too-weak')
    expect(planned(jobOf({ slack: 8 })).codes).toEqual(['safety-wire-anchor-too-weak'])
    expect(planned(jobOf({ length: 60, stretch: 20 })).codes).toContain('safety-wire-without-anchor')
  })

  it('shows what a fall does to it, with the working, and how far it is used', () => {
    const use = (wire: Partial<Wire>, carrier?: object) => {
      const job = jobOf(wire, ({ walls: [wall] }) => Object.assign(wall!.arrays[0]!, carrier && { carrier }))
      const [wall] = job.walls
      const plan = planWall(wall!, contextOf(job))
      return fix(wall!.arrays[0]!, plan.arrays[0]!.positions, wall!, contextOf(job), { members: plan.members })
        .fixings[0]!.wire!
    }
    const { force, wire, anchor, utilisation } = use({ slack: 10 })
    expect([force.value, wire]).toEqual([expect.closeTo(1643.9, 0), 3_000])
    expect(force.working.map(({ label }) => label)).toContain('Stiffness of the wire')
    expect(utilisation).toBeCloseTo(force.value / Math.min(wire, anchor!), 9)
    // A rail under the plate is no part of what the anchor goes into.
    expect(use({ slack: 10 }, { kind: 'rail', thickness: 30, web: 12 }).anchor).toBeCloseTo(anchor!, 6)
  })

  it('carries more where the covering is cut away, with the hole as deep from the stud as from the board', () => {
    const of = (bare: boolean) => {
      const job = jobOf({}, ({ walls: [wall] }) => Object.assign(wall!.arrays[0]!, bare && { wireBare: true }))
      const { anchors, plan, positions } = planned(job)
      const [wall] = job.walls
      const { fixings } = fix(wall!.arrays[0]!, positions, wall!, contextOf(job), { members: plan.members })
      const { wire } = fixings[0]!
      const told = plan.findings.map(({ code }) => code)
      return { depth: anchors[0]!.depth!, carries: wire!.anchor!, isTold: told.includes('safety-wire-covering-cut') }
    }
    const [covered, bare] = [of(false), of(true)]
    expect(bare.depth).toBe(covered.depth)
    expect(bare.carries).toBeGreaterThan(1.3 * covered.carries)
    expect([covered.isTold, bare.isTold]).toEqual([false, true])
  })

  it('waits for the studs where none is known', () => {
    const { anchors, codes } = planned(jobOf({}, ({ walls: [wall] }) => { delete wall!.structure.members }))
    expect([anchors.filter(Boolean), codes]).toEqual([[], []])
  })

  it('goes into the structure beside a rail, and is refused where a board covers all of it', () => {
    const on = (carrier: object) =>
      planned(jobOf({}, ({ walls: [wall] }) => { Object.assign(wall!.arrays[0]!, { carrier }) }))
    const { anchors, positions, plan } = on({ kind: 'rail', thickness: 30, web: 3 })
    expect(anchors).toHaveLength(positions.length)
    const rails = plan.arrays[0]!.strips.map(({ rect }) => rect)
    for (const anchor of anchors) {
      expect(anchor!.member).toBeDefined()
      expect(rails.some(({ y, height }) => anchor!.y > y && anchor!.y < y + height)).toBe(false)
    }
    const board = on({ kind: 'board', thickness: 18 })
    expect([board.anchors.filter(Boolean), board.codes]).toEqual([[], ['safety-wire-without-anchor']])
  })
})
