import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { setBuildUp, USUAL_UNITS } from '../edits/survey'
import { readJob, writeJob, type Fastener, type Wall } from '../job'
import { contextOf, planWall } from '../plan'
import { survey } from './index'
import { proofOf } from './proof'

const walled = (preset: string, change: (wall: Wall) => void = () => {}): Wall => {
  const wall = exampleJob().walls[0]!
  delete wall.structure.members
  setBuildUp(wall, preset)
  change(wall)
  return wall
}
const codes = (wall: Wall) => survey(wall).findings.map(({ code }) => code as string)

describe('what a build-up does to a wall', () => {
  it('is said of lath and plaster: no magnet confirms, no nail, no hammer', () => {
    const wall = walled('Lath and plaster on wood studs')
    expect(codes(wall)).toEqual(expect.arrayContaining(['lath-misleads', 'drill-without-hammer']))
    expect(codes(wall)).not.toContain('covering-deep')
    expect(codes(walled('Two plasterboards on wood studs'))).toContain('covering-deep')
    expect(codes(walled('Plasterboard on wood studs'))).not.toContain('drill-without-hammer')
  })

  it('is not said of readings where none was taken through it', () => {
    const boards = (change: (wall: Wall) => void) => codes(walled('Two plasterboards on wood studs', change))
    const behind = { id: 'a', method: 'detector-centre', x: 1000, y: 1500, side: 'back' } as const
    expect(boards((wall) => { wall.evidence = [behind] })).not.toContain('covering-deep')
    const front = { ...behind, id: 'b', side: 'front' } as const
    expect(boards((wall) => { wall.evidence = [behind, front] })).toContain('covering-deep')
    const known = [{ id: 'k1', centre: 1000, width: 38 }]
    const lathed = walled('Lath and plaster on wood studs', (wall) => { wall.structure.members = known })
    expect(codes(lathed)).not.toContain('lath-misleads')
    expect(codes(lathed)).toContain('drill-without-hammer')
  })

  it('counts a magnet over lath as no kind of its own, and a probe as before', () => {
    const evidence = [
      { id: 'a', method: 'detector-edge', edge: 'left', x: 1000, y: 1500 },
      { id: 'b', method: 'detector-edge', edge: 'right', x: 1038, y: 1500 },
      { id: 'c', method: 'magnet', x: 1019, y: 900 },
      { id: 'd', method: 'probe', hit: true, x: 1019, y: 1900 },
    ] as const
    const proved = (preset: string, taken: string[]) => {
      const wall = walled(preset, (wall) => {
        wall.evidence = evidence.filter(({ id }) => taken.includes(id))
      })
      const member = survey(wall).members.find(({ centre }) => Math.abs(centre - 1019) < 20)!
      return proofOf(member, wall, {}).proved
    }
    expect(proved('Plasterboard on wood studs', ['a', 'b', 'c'])).toBe(true)
    expect(proved('Lath and plaster on wood studs', ['a', 'b', 'c'])).toBe(false)
    expect(proved('Lath and plaster on wood studs', ['a', 'b', 'd'])).toBe(true)
    // A nail and a magnet far apart in height rule out blocking on a board; on lath the nail is alone.
    expect(proved('Plasterboard on wood studs', ['c', 'd'])).toBe(true)
    expect(proved('Lath and plaster on wood studs', ['c', 'd'])).toBe(false)
  })
})

describe('what brick and facings do', () => {
  it('is said of brick and of facings', () => {
    const brick = (unit: 'solid' | 'frogged' | 'perforated') =>
      walled('Stone facing on brick', (wall) => { wall.structure.brick = { ...USUAL_UNITS.brick, unit } })
    expect(codes(brick('solid'))).toEqual(expect.arrayContaining([
      'coursing-not-surveyed', 'brick-strength-not-known', 'facing-carries-nothing', 'drill-without-hammer',
    ]))
    expect(codes(brick('solid'))).not.toContain('frog-in-brick')
    expect(codes(brick('frogged'))).toContain('frog-in-brick')
    expect(survey(brick('perforated')).findings.find(({ code }) => code === 'drill-without-hammer')!.message.join(''))
      .toContain('stone facing and perforated brick')
  })
})

describe('a wall of brick', () => {
  /** Bricks 215 × 65 with joints of 10: modules of 225 × 75. Their middles are at 37.5, 112.5, … above the floor. */
  const ANCHOR: Fastener = {
    id: 'brick-anchor', kind: 'screw-anchor', base: 'brick', diameter: 8, length: 120, edgeDistance: 60,
    minJointDistance: 20, embedment: 60, head: 8, allowable: { tension: 900, shear: 1200 }, criticalEdge: 90,
    criticalSpacing: 120, minSpacing: 60, hole: { diameter: 8, depth: 70 }, minThickness: 90,
    steel: { yield: 640, ultimate: 800 },
  }
  function planned(change: (wall: Wall) => void = () => {}, anchor: Partial<Fastener> = {}) {
    const job = exampleJob()
    const [wall] = job.walls as [Wall]
    setBuildUp(wall, 'Plaster on brick')
    wall.structure.brick = { ...USUAL_UNITS.brick, unit: 'solid' }
    wall.evidence = [
      { id: 'j1', method: 'joint', direction: 'bed', x: 1000, y: 900 },
      { id: 'j2', method: 'joint', direction: 'bed', x: 1000, y: 1500 },
      { id: 'j3', method: 'joint', direction: 'head', x: 1125, y: 937 },
      { id: 'j4', method: 'joint', direction: 'head', x: 1012.5, y: 1012 },
    ]
    change(wall)
    job.catalogue.fasteners.push({ ...ANCHOR, ...anchor })
    for (const array of wall.arrays) array.fastener = ANCHOR.id
    return { job, wall, plan: planWall(wall, contextOf(job)) }
  }

  it('is laid out by its own module, every hole in a brick and clear of its joints', () => {
    const { plan } = planned()
    expect(plan.coursing!.length).toBeCloseTo(225, 0)
    expect(plan.coursing!.height).toBeCloseTo(75, 0)
    const holes = plan.arrays.flatMap(({ positions }) => positions.flatMap(({ holes = [] }) => holes))
    expect(holes.length).toBeGreaterThan(0)
    const held = holes.filter(({ margin }) => margin !== undefined && margin >= 0)
    expect(held.length).toBeGreaterThan(0)
    for (const { x, y, margin } of held) {
      expect(margin).toBeLessThanOrEqual(12.5)
      // By hand, from the joints that were read: 900 + n × 75 up, 1125 + m × 225 along, or half a brick off that.
      const bed = Math.abs((y - 900) / 75 - Math.round((y - 900) / 75)) * 75
      const off = Math.floor((y - 900) / 75) % 2 === 0 ? 1125 : 1012.5
      const head = Math.abs((x - off) / 225 - Math.round((x - off) / 225)) * 225
      expect(Math.min(bed, head) - 5).toBeGreaterThanOrEqual(20 - 1)
    }
  })

  it('refuses an anchor that was made for another base, and one whose brick is not known or too thin', () => {
    const said = (...given: Parameters<typeof planned>) => planned(...given).plan.findings
      .filter(({ severity, stage }) => severity === 'stop' && stage === 'fix').map(({ code }) => code as string)
    expect(said(() => {}, { base: 'block' })).toContain('fastener-of-another-base')
    expect(said((wall) => { delete wall.structure.brick!.unit })).toContain('kind-of-unit-not-known')
    expect(said((wall) => { wall.structure.brick!.unit = 'perforated' })).toContain('face-shell-thickness-not-known')
    expect(said((wall) => { Object.assign(wall.structure.brick!, { unit: 'perforated', shell: 25 }) }))
      .toContain('base-too-thin')
    expect(said()).not.toContain('base-too-thin')
  })

  it('is written to a job file and read from it', () => {
    const { job } = planned()
    expect(readJob(writeJob(job)).walls[0]!.structure).toEqual(job.walls[0]!.structure)
  })
})
