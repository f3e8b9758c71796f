import { describe, expect, it } from 'vitest'
import { d46, exampleJob, m1 } from '../../tests/fixtures/job'
import type { Fastener, Job } from '../job'
import { planWall } from '../plan'
import { textToString } from '../units'
import { bearerOf, crowdingOf, depthCurve, edgesAround, neighboursOf, pullCurve, shareLeft } from './index'
import { driveOf } from './drive'
import { rankFasteners } from './ranking'

const anchor: Fastener = {
  id: 'lag',
  name: 'Anchor',
  kind: 'wedge-anchor',
  base: 'concrete',
  diameter: 8,
  length: 75,
  embedment: 42,
  head: 9,
  torque: 15,
  washer: 16,
  edgeDistance: 60,
  criticalEdge: 120,
  minSpacing: 50,
  criticalSpacing: 150,
  edgeFactor: 0.6,
  spacingFactor: 0.7,
  allowable: { tension: 2000, shear: 3000 },
  minThickness: 85,
}
const inConcrete = (change: (job: Job) => void = () => {}) => {
  const job = exampleJob()
  job.walls[0]!.structure = { kind: 'concrete', thickness: 200, strength: 28 }
  job.walls[0]!.covering = []
  job.catalogue.fasteners = [structuredClone(anchor)]
  change(job)
  const { arrays, findings } = planWall(job.walls[0]!, job)
  return {
    uses: arrays[0]!.positions[0]!.loads!.map(({ utilisation }) => utilisation!),
    codes: findings.filter(({ stage }) => stage === 'fix').map(({ severity, code }) => `${severity} ${code}`),
  }
}

describe('anchors near an edge or one another', () => {
  const at = (edges: number[], neighbours: number[] = []) =>
    crowdingOf(anchor, {
      edges: edges.map(distance => ({ name: 'an edge', distance })),
      neighbours: neighbours.map(distance => ({ side: 'left', distance })),
    })
  const left = (edges: number[], neighbours: number[] = []) => {
    const known = at(edges, neighbours)
    return known.known ? [known.tension.factor, known.shear.factor] : undefined
  }
  it('keep the share that lies between the least and the critical distance, for every edge and neighbour', () => {
    expect([30, 60, 90, 120, 500].map(distance => shareLeft(distance, 60, 120, 0.6))).toEqual([0.6, 0.6, 0.8, 1, 1])
    expect(left([90], [100])![0]).toBeCloseTo(0.8 * 0.85, 12)
    expect(left([90, 90, 500], [100, 100])![0]).toBeCloseTo(0.8 ** 2 * 0.85 ** 2, 12)
    expect(left([])).toEqual([1, 1])
  })

  it('have shares of their own in shear where the sheet gives them, and else the same, which is said', () => {
    const own = crowdingOf(
      { ...anchor, shearEdgeFactor: 0.3 },
      { edges: [{ name: 'the top edge', distance: 90 }], neighbours: [] },
    )
    expect(own.known && [own.tension.factor, own.shear.factor]).toEqual([
      expect.closeTo(0.8, 12),
      expect.closeTo(0.65, 12),
    ])
    const same = at([90])
    expect(same.known && textToString(same.shear.steps[0]!.expression, 'metric')).toContain('as in tension')
  })

  it('are not known near an edge or another where the sheet gives no critical distance', () => {
    const { criticalEdge: _e, criticalSpacing: _s, ...bare } = anchor
    const known = (edge: number, spacing: number) =>
      crowdingOf(bare, {
        edges: [{ name: 'the top edge', distance: edge }],
        neighbours: [{ side: 'left', distance: spacing }],
      }).known
    // Set 42 deep: four times that from an edge and three times from another all counts.
    expect([known(168, 126), known(167, 126), known(168, 125)]).toEqual([true, false, false])
  })

  it('see the nearest other one to each side, whatever plate it is of', () => {
    const others = [{ x: 100, y: 0 }, { x: 60, y: 50 }, { x: -300, y: 10 }, { x: 5, y: -80 }]
    expect(neighboursOf({ x: 0, y: 0 }, others)).toEqual([
      { side: 'right', distance: Math.hypot(60, 50) },
      { side: 'left', distance: Math.hypot(300, 10) },
      { side: 'below', distance: Math.hypot(5, 80) },
    ])
    const [wall] = exampleJob().walls
    expect(
      edgesAround(
        { x: 70, y: 3200 },
        { ...wall!, features: [{ id: 'd', kind: 'door', x: 100, y: 0, width: 900, height: 3160 }] },
      ).map(({ distance }) => distance),
    ).toEqual([70, 6130, 100, 50])
  })

  it('bear less in the plan of a wall for it, and are stopped where they may not be', () => {
    const near = (x: number) => (job: Job) => { job.walls[0]!.arrays[0]!.at.x = { edge: 'left', value: x } }
    // The left holes stand 375.7 from the array's left edge.
    expect(inConcrete(near(1000)).codes).toEqual([])
    const [far, close] = [inConcrete(near(1000)).uses[0]!, inConcrete(near(-290)).uses[0]!]
    expect(close).toBeGreaterThan(far)
    expect(inConcrete(near(-330)).codes).toContain('stop edge-too-near')
    expect(
      inConcrete((job) => {
        job.catalogue.fasteners[0]!.minSpacing = 300
      }).codes,
    ).toContain('stop spacing-too-near')
  })

  it('of another array beside them weaken them too', () => {
    const use = (apart?: number) => inConcrete((job) => {
      const [array] = job.walls[0]!.arrays
      Object.assign(array!, {
        rows: 1,
        columns: 1,
        at: { x: { edge: 'centre', value: 1500 }, y: { edge: 'centre', value: 1650 } },
      })
      // The right-hand holes of one plate stand 135 from its middle, the left-hand ones of the other as far.
      if (apart !== undefined)
        job.walls[0]!.arrays.push({
          ...array!,
          id: 'a2',
          at: { x: { edge: 'centre', value: 1500 + 270 + apart }, y: { edge: 'centre', value: 1650 } },
        })
    }).uses[0]!
    expect(use(100)).toBeGreaterThan(use())
    expect(use(150)).toBeCloseTo(use(), 9)
  })

  it('are checked against the breakout of the concrete, and stopped where a figure is missing', () => {
    expect(
      inConcrete((job) => {
        job.catalogue.fasteners[0]!.allowable!.tension = 9000
      }).codes,
    ).toContain('caution allowable-over-breakout')
    const without = (change: (anchor: Fastener, job: Job) => void) =>
      inConcrete(job => change(job.catalogue.fasteners[0]!, job)).codes
    expect(without((anchor) => { delete anchor.embedment })).toContain('stop embedment-not-known')
    expect(without((anchor) => { delete anchor.edgeDistance })).toContain('stop least-edge-distance-not-known')
    expect(without((_, job) => { delete job.walls[0]!.structure.thickness })).toContain('stop thickness-not-known')
  })

  it('in hollow block have its face shell as their base', () => {
    const hollow = (block: object, change: Partial<Fastener> = {}) => inConcrete((job) => {
      job.walls[0]!.structure = {
        kind: 'block',
        thickness: 190,
        block: { length: 390, height: 190, joint: 10, bond: 'running', origin: { x: 0, y: 0 }, ...block },
      }
      Object.assign(job.catalogue.fasteners[0]!, { base: 'block', embedment: 20, minThickness: undefined, ...change })
    }).codes.filter(code => code.startsWith('stop'))
    expect(hollow({})).toContain('stop kind-of-unit-not-known')
    expect(hollow({ unit: 'hollow' })).toContain('stop face-shell-thickness-not-known')
    // One and a half embedments of 20.
    expect(hollow({ unit: 'hollow', shell: 29 })).toContain('stop base-too-thin')
    expect(hollow({ unit: 'hollow', shell: 30 })).toEqual([])
    expect(hollow({ unit: 'hollow', shell: 29 }, { minThickness: 25 })).toEqual([])
    expect(hollow({ unit: 'grouted' }, { embedment: 60, length: 95 })).toEqual([])
  })
})

describe('outdoors and in the wet', () => {
  const wet = (finish: Fastener['finish'], change: Partial<Job['walls'][0]>) => inConcrete((job) => {
    job.catalogue.fasteners[0]!.finish = finish
    Object.assign(job.walls[0]!, change)
  }).codes
  const wind = { speed: 25, basis: 'gust-3s' as const }
  it('only what lasts may be taken, and what is not known is not taken to last', () => {
    expect(wet('zinc', {})).toEqual([])
    expect(wet('zinc', { wet: true })).toEqual(['stop fastener-corrodes'])
    expect(wet(undefined, { wind })).toEqual(['stop finish-not-known'])
    expect(wet('stainless', { wind })).toEqual([])
  })
})

describe('screws in wood', () => {
  const stops = (change: (job: Job) => void) => {
    const job = exampleJob()
    change(job)
    return planWall(job.walls[0]!, job)
      .findings.filter(({ severity, stage }) => severity === 'stop' && stage === 'fix')
      .map(({ code, message }) => [code, textToString(message, 'metric')])
  }
  it('keep four diameters from one another in one piece, also of two plates', () => {
    // Two displays whose plates meet over one wide piece: 30 between their holes, and 38.1 .
    const meet = (apart: number) => stops((job) => {
      job.walls[0]!.structure = {
        kind: 'wood-stud',
        memberWidth: 140,
        specificGravity: 0.42,
        members: [
          { centre: 2050, width: 38 },
          { centre: 2500, width: 140 },
          { centre: 2950, width: 38 },
        ],
      }
      Object.assign(job.catalogue.mounts[0]!, {
        adjust: {},
        plate: {
          ...m1.plate,
          width: 430,
          slots: [210, -150].flatMap(y =>
            [-200, 200].map(x => ({ row: y > 0 ? 'top' : 'bottom', y, x1: x, x2: x, diameter: 10 })),
          ),
        },
      })
      job.catalogue.displays[0]!.width = 440 - 0.6 + apart - 30 + 0.6 - 10
      Object.assign(job.walls[0]!.arrays[0]!, {
        rows: 1,
        columns: 2,
        gap: { x: 0, y: 0 },
        at: { x: { edge: 'centre', value: 2500 }, y: { edge: 'centre', value: 1650 } },
      })
    }).filter(([code]) => code === 'fasteners-too-near')
    expect(meet(30)[0]![1]).toContain('30 mm apart in one piece of wood; lag requires 38.1 mm')
    expect(meet(39)).toEqual([])
  })

  it('keep seven diameters from the end of their member', () => {
    // Seven diameters are 66.7; the upper holes are 2090.4 up.
    const under = (height: number) => stops((job) => { job.walls[0]!.height = height }).map(([code]) => code)
    expect(under(2156)).toContain('end-too-near')
    expect(under(2158)).not.toContain('end-too-near')
  })

  it('of an arm that swings its load across the grain want a wider piece, or are stopped', () => {
    const arm = (width: number) => stops((job) => {
      Object.assign(job.catalogue.mounts[0]!, {
        kind: 'arm',
        capacity: 90,
        depth: { stowed: 80, service: 400 },
        needs: { members: 1, rows: ['top', 'bottom'] },
        adjust: { lateral: 200 },
      })
      job.walls[0]!.structure = {
        kind: 'wood-stud',
        memberWidth: width,
        specificGravity: 0.42,
        members: [{ centre: 3100, width }],
      }
      Object.assign(job.walls[0]!.arrays[0]!, { rows: 1, columns: 1 })
      job.catalogue.displays[0]!.mass = 3
    }).map(([code]) => code)
    expect(arm(38)).toContain('loaded-edge-too-near')
    expect(arm(89)).not.toContain('loaded-edge-too-near')
  })

  it('of their own kind go six diameters in, and are drilled by their root', () => {
    const own = (length: number) => stops((job) => {
      job.catalogue.fasteners[0] = {
        id: 'lag',
        kind: 'wood-screw',
        base: 'wood-stud',
        diameter: 4.8,
        root: 3.6,
        length,
        thread: 30,
        yield: 620,
      }
    }).map(([code]) => code)
    // 2.5 of plate, 12.5 of board, and 28.8 in the wood.
    expect(own(43)).toContain('penetration-too-small')
    expect(own(44)).not.toContain('penetration-too-small')
    const job = exampleJob()
    expect(
      driveOf(
        { id: 's', kind: 'wood-screw', base: 'wood-stud', diameter: 4.8, root: 3.6, length: 60, thread: 40 },
        job.walls[0]!,
        bearerOf(m1),
      ).hole!.bit.value,
    ).toBe(2.5)
  })
})

describe('screws in sheet steel', () => {
  it('reach the steel and come through it', () => {
    const codes = (length: number) => {
      const job = exampleJob()
      job.walls[0]!.structure = { ...job.walls[0]!.structure, kind: 'steel-stud', memberWidth: 41, gauge: 0.84 }
      job.catalogue.fasteners[0] = {
        id: 'lag',
        kind: 'self-drilling',
        base: 'steel-stud',
        diameter: 5.5,
        length,
        pitch: 1.8,
        tip: 8,
        allowable: { tension: 300, shear: 400 },
      }
      return planWall(job.walls[0]!, job).findings.filter(({ stage }) => stage === 'fix').map(({ code }) => code)
    }
    // 15 of plate and board, 0.84 of steel, three threads of 1.8 and a point of 8: 29.24.
    expect(codes(14)).toContain('screw-does-not-reach-steel')
    expect(codes(29)).toContain('screw-not-through-steel')
    expect(codes(30)).not.toContain('screw-not-through-steel')
  })
})

describe('how a fastener is set', () => {
  const [wall] = exampleJob().walls
  const [lag] = exampleJob().catalogue.fasteners
  it('says bit, depth, clearance and how tight, with bits that are sold in the wall’s unit', () => {
    const screw = driveOf(lag!, wall!, { kind: 'plate', thickness: 2.5 })
    // The shank is 76 − 57 − 5.6 long and ends within the board: the clearance goes through the board and no deeper.
    expect(screw).toMatchObject({
      hole: { bit: { value: 6.5 }, depth: { value: 74 } },
      clearance: { bit: 10, depth: 12.5 },
    })
    expect(textToString(screw.hole!.bit.working[0]!.expression, 'metric')).toContain(
      'at most 70 % and at least 40 % of 9.5 mm',
    )
    expect(textToString(screw.tighten, 'metric')).toContain('snug, then a quarter turn')
    const inches = driveOf(
      { ...lag!, length: 101.6, thread: 57.9 },
      wall!,
      { kind: 'plate', thickness: 2.5 },
      'imperial',
    )
    expect([inches.hole!.bit.value, inches.clearance!.bit, inches.hole!.depth.value]).toEqual([
      6.35,
      expect.closeTo(9.525, 9),
      expect.closeTo((63 * 25.4) / 16, 9),
    ])
    // A shank of 101.6 − 57.9 − 5.6 less the plate reaches 35.6 in: to the 16th below, so that no thread turns free.
    expect(inches.clearance!.depth).toBeCloseTo(22 * 25.4 / 16, 9)
    const set = driveOf(
      anchor,
      { ...wall!, structure: { kind: 'concrete' }, covering: [{ material: 'plaster', thickness: 15 }] },
      { kind: 'plate', thickness: 2.5 },
    )
    // Behind 15 of plaster, 42 deep, and its own diameter more for dust.
    expect([set.hole!.bit.value, set.hole!.depth.value]).toEqual([8, 65])
    expect(textToString(set.tighten, 'metric')).toContain('15 N·m')
    expect(textToString(driveOf({ ...anchor, torque: undefined }, wall!, undefined).tighten, 'metric')).toContain(
      'the catalogue has no torque',
    )
  })
})

describe('curves', () => {
  const job = exampleJob()
  const [wall] = job.walls
  const { arrays } = planWall(wall!, job)
  const [position] = arrays[0]!.positions
  it('of pulling out begin and end with the load cases', () => {
    const points = pullCurve({ display: d46, mount: m1, wall: wall! }, position!)
    const most = (name: string) => position!.loads!.find(one => one.case === name)!.tension
    expect([points[0]!.out, points.at(-1)!.out]).toEqual([58, 312])
    expect(points[0]!.own).toBeCloseTo(most('stowed'), 9)
    expect(points.at(-1)!.hand).toBeCloseTo(most('service-hand'), 9)
    expect(
      pullCurve({ display: d46, mount: { ...m1, depth: { stowed: 30, service: 30 } }, wall: wall! }, position!),
    ).toHaveLength(1)
    expect(
      pullCurve(
        { display: d46, mount: m1, wall: wall! },
        { ...position!, plate: { ...position!.plate!, held: false } },
      ),
    ).toEqual([])
  })

  it('of depth rise, pass through what is borne now, and are not drawn where no rule tells', () => {
    const [lag] = job.catalogue.fasteners
    const curve = depthCurve(lag!, wall!, bearerOf(m1), {})!
    // 76 less the plate, the board and a point of 7/32 in.
    expect(curve.now).toBeCloseTo(76 - 2.5 - 12.5 - 25.4 * 7 / 32, 9)
    curve.points.slice(1).forEach(({ tension }, n) => expect(tension).toBeGreaterThanOrEqual(curve.points[n]!.tension))
    const concrete = { ...wall!, structure: { kind: 'concrete' as const, strength: 28 } }
    expect(depthCurve(anchor, concrete, bearerOf(m1), {})!.now).toBe(42)
    expect(depthCurve(anchor, { ...wall!, structure: { kind: 'block' } }, bearerOf(m1), {})).toBeUndefined()
  })
})

describe('the choice of a fastener', () => {
  it('puts what fits first, then what is not much used, in stock, and on the site already', () => {
    const job = exampleJob()
    const [lag] = job.catalogue.fasteners
    const offered: Fastener[] = [
      { ...lag!, id: 'none-left' },
      { ...lag!, id: 'plain' },
      { ...lag!, id: 'short', length: 45 },
      { ...lag!, id: 'known-here' },
      { ...lag!, id: 'thin', diameter: 7.9375, root: 5, yield: 280 },
    ]
    job.catalogue.displays[0]!.mass = 32
    const { arrays } = planWall(job.walls[0]!, job)
    const ranked = rankFasteners(
      offered,
      { array: job.walls[0]!.arrays[0]!, positions: arrays[0]!.positions, wall: job.walls[0]!, job },
      'metric',
      { onSite: ['known-here'], stock: { 'none-left': 2 } },
    )
    expect(ranked.map(({ fastener }) => fastener.id)).toEqual(['known-here', 'plain', 'none-left', 'short', 'thin'])
    expect(ranked.map(({ inStock }) => inStock)).toEqual([undefined, undefined, false, undefined, undefined])
    expect(ranked.at(-2)!.stop).toContain('of thread in the wood')
    // What is wrong with the array, whatever fastens it, is said of none of them.
    Object.assign(job.walls[0]!, { handForce: 100 })
    job.walls[0]!.arrays[0]!.screw = 60
    const again = rankFasteners(
      offered,
      { array: job.walls[0]!.arrays[0]!, positions: arrays[0]!.positions, wall: job.walls[0]!, job },
      'metric',
    )
    expect(again.find(({ fastener }) => fastener.id === 'plain')!.stop).toBeUndefined()
  })
})
