import { describe, expect, it } from 'vitest'
import { d46, exampleJob, m1 } from '../../tests/fixtures/job'
import type { Fastener, Job } from '../job'
import { planWall } from '../plan'
import { textToString } from '../units'
import { crowdingOf, depthCurve, fastenerLoad, nearestEdge, nearestPair, plainSetting, plateLoads, pullCurve, rowsOf, shareLeft } from './index'
import { driveOf } from './drive'
import { rankFasteners } from './ranking'

const anchor: Fastener = {
  id: 'lag', name: 'Anchor', kind: 'wedge-anchor', base: 'concrete', diameter: 8, length: 75, embedment: 42, head: 9, torque: 15, edgeDistance: 60, criticalEdge: 120,
  minSpacing: 50, criticalSpacing: 150, edgeFactor: 0.6, spacingFactor: 0.7, allowable: { tension: 2000, shear: 3000 }, minThickness: 85,
}
const inConcrete = (change: (job: Job) => void = () => {}) => {
  const job = exampleJob()
  job.walls[0]!.structure = { kind: 'concrete', thickness: 200, strength: 28 }
  job.walls[0]!.covering = []
  job.catalogue.fasteners = [structuredClone(anchor)]
  change(job)
  const { arrays, findings } = planWall(job.walls[0]!, job)
  return { uses: arrays[0]!.positions[0]!.loads!.map(({ utilisation }) => utilisation!), codes: findings.filter(({ stage }) => stage === 'fix').map(({ severity, code }) => `${severity} ${code}`) }
}

describe('anchors near an edge or one another', () => {
  it('keep the share that lies between the least and the critical distance', () => {
    expect([30, 60, 90, 120, 500].map(distance => shareLeft(distance, 60, 120, 0.6))).toEqual([0.6, 0.6, 0.8, 1, 1])
    expect(crowdingOf(anchor, { edge: 90, spacing: 100 }).factor).toBeCloseTo(0.8 * 0.85, 12)
    expect(crowdingOf(anchor, {})).toEqual({ factor: 1, steps: [] })
    expect(crowdingOf({ ...anchor, criticalEdge: undefined }, { edge: 61 }).factor).toBe(1)
  })

  it('are measured from the sides, the top and the openings of a wall, and from each other', () => {
    const [wall] = exampleJob().walls
    expect(nearestEdge([{ x: 3000, y: 3200 }], wall!)).toBe(100)
    expect(nearestEdge([{ x: 70, y: 1000 }], wall!)).toBe(70)
    expect(nearestEdge([{ x: 1000, y: 1000 }], { ...wall!, features: [{ id: 'd', kind: 'door', x: 1030, y: 0, width: 900, height: 960 }] })).toBe(50)
    expect(nearestPair([{ x: 0, y: 0 }, { x: 300, y: 0 }, { x: 30, y: 40 }])).toBe(50)
    expect(nearestPair([{ x: 0, y: 0 }])).toBe(Infinity)
  })

  it('bear less in the plan of a wall for it, and are stopped where they may not be', () => {
    const near = (x: number) => (job: Job) => { job.walls[0]!.arrays[0]!.at.x = { edge: 'left', value: x } }
    // The left holes stand 375.7 from the array's left edge.
    expect(inConcrete(near(1000)).codes).toEqual([])
    const [far, close] = [inConcrete(near(1000)).uses[0]!, inConcrete(near(-290)).uses[0]!]
    expect(close).toBeGreaterThan(far)
    expect(inConcrete(near(-330)).codes).toContain('stop edge-too-near')
    expect(inConcrete((job) => { job.catalogue.fasteners[0]!.minSpacing = 300 }).codes).toContain('stop spacing-too-near')
  })

  it('are checked against the breakout of the concrete', () => {
    expect(inConcrete((job) => { job.catalogue.fasteners[0]!.allowable!.tension = 9000 }).codes).toContain('caution allowable-over-breakout')
  })
})

describe('outdoors and in the wet', () => {
  const wet = (finish: Fastener['finish'], change: Partial<Job['walls'][0]>) => inConcrete((job) => {
    job.catalogue.fasteners[0]!.finish = finish
    Object.assign(job.walls[0]!, change)
  }).codes
  it('only what lasts may be taken, and what is not known is not taken to last', () => {
    expect(wet('zinc', {})).toEqual([])
    expect(wet('zinc', { wet: true })).toEqual(['stop fastener-corrodes'])
    expect(wet(undefined, { windSpeed: 25 })).toEqual(['stop finish-not-known'])
    expect(wet('stainless', { windSpeed: 25 })).toEqual([])
  })
})

describe('an arm', () => {
  it('that is swung aside turns its plate in its own plane', () => {
    const arm = { ...m1, kind: 'arm' as const, depth: { stowed: 80, service: 560 } }
    const swung = plateLoads(d46, arm, {}).find(one => one.case === 'swung')!
    expect([swung.arm, swung.aside]).toEqual([80 + 34, 560])
    const { shear } = fastenerLoad(swung, rowsOf(arm))
    // Four fasteners at ± 135, ± 180 about their middle: 225 from it each.
    expect(shear).toBeCloseTo(swung.down / 4 + swung.down * 560 * 225 / (4 * 225 ** 2), 6)
    expect(plateLoads(d46, m1, {}).some(one => one.case === 'swung')).toBe(false)
  })
})

describe('how a fastener is set', () => {
  const [wall] = exampleJob().walls
  const [lag] = exampleJob().catalogue.fasteners
  it('says bit, depth, clearance and how tight', () => {
    const screw = driveOf(lag!, wall!, { kind: 'plate', thickness: 2.5 })
    expect(screw).toMatchObject({ hole: { bit: { value: 6 }, depth: { value: 74 } }, clearance: { bit: 10, depth: 17 } })
    expect(textToString(screw.hole!.bit.working[0]!.expression, 'metric')).toContain('at most 70 % of 9.5 and at least 40 %')
    expect(textToString(screw.tighten, 'metric')).toContain('Snug, then a quarter turn')
    const set = driveOf(anchor, { ...wall!, structure: { kind: 'concrete' }, covering: [{ material: 'plaster', thickness: 15 }] }, { kind: 'plate', thickness: 2.5 })
    // Behind 15 of plaster, 42 deep, and its own diameter more for dust.
    expect([set.hole!.bit.value, set.hole!.depth.value]).toEqual([8, 65])
    expect(textToString(set.tighten, 'metric')).toBe('To 15 N·m with a torque driver.')
    expect(textToString(driveOf({ ...anchor, torque: undefined }, wall!, undefined).tighten, 'metric')).toContain('no torque is given')
  })
})

describe('curves', () => {
  const [wall] = exampleJob().walls
  it('of pulling out begin and end with the load cases', () => {
    const points = pullCurve(d46, wall!, plainSetting(m1))
    const at = (name: string) => fastenerLoad(plateLoads(d46, m1, {}).find(one => one.case === name)!, rowsOf(m1)).tension
    expect([points[0]!.out, points.at(-1)!.out]).toEqual([58, 312])
    expect(points[0]!.own).toBeCloseTo(at('stowed'), 9)
    expect(points.at(-1)!.hand).toBeCloseTo(at('service-hand'), 9)
    expect(pullCurve(d46, wall!, plainSetting({ ...m1, depth: { stowed: 30, service: 30 } }))).toHaveLength(1)
  })

  it('of depth rise, pass through what is borne now, and are not drawn where no rule tells', () => {
    const [lag] = exampleJob().catalogue.fasteners
    const curve = depthCurve(lag!, wall!, plainSetting(m1), {})!
    expect(curve.now).toBe(57)
    curve.points.slice(1).forEach(({ tension }, n) => expect(tension).toBeGreaterThan(curve.points[n]!.tension))
    expect(curve.points.at(-1)!.tension).toBeCloseTo(2109, -0.5)
    const concrete = { ...wall!, structure: { kind: 'concrete' as const, strength: 28 } }
    expect(depthCurve(anchor, concrete, plainSetting(m1), {})!.now).toBe(42)
    expect(depthCurve(anchor, { ...wall!, structure: { kind: 'block' } }, plainSetting(m1), {})).toBeUndefined()
  })
})

describe('the choice of a fastener', () => {
  it('puts what fits first, then what is not much used, in stock, and on the site already', () => {
    const job = exampleJob()
    const [lag] = job.catalogue.fasteners
    const offered: Fastener[] = [
      { ...lag!, id: 'none-left', stock: 2 }, { ...lag!, id: 'plain' }, { ...lag!, id: 'short', length: 45 }, { ...lag!, id: 'known-here' },
      { ...lag!, id: 'thin', diameter: 4.8, root: 3.6, length: 60, thread: 40 },
    ]
    job.catalogue.displays[0]!.mass = 32
    const { arrays } = planWall(job.walls[0]!, job)
    const ranked = rankFasteners(offered, job.walls[0]!.arrays[0]!, arrays[0]!.positions, job.walls[0]!, job, 'metric', { onSite: ['known-here'] })
    expect(ranked.map(({ fastener }) => fastener.id)).toEqual(['known-here', 'plain', 'none-left', 'thin', 'short'])
    expect(ranked.map(({ inStock }) => inStock)).toEqual([undefined, undefined, false, undefined, undefined])
    expect(ranked.at(-1)!.stop).toContain('of thread in the wood')
  })
})
