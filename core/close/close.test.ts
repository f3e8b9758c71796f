import { describe, expect, it } from 'vitest'
import { demoWall } from '../../tests/fixtures/demo'
import { exampleJob } from '../../tests/fixtures/job'
import type { Job } from '../job'
import { asBuilt, type LogEntry } from '../log'
import { contextOf, planWall } from '../plan'
import { handedOverOf } from '../revision'
import { textToString } from '../units'
import type { Wiring } from '../wire'
import {
  behindOf, circuitTestBlocks, clientViewOf, comparedWith, drawHandover, driftOf, getOutOf, handoverOf, inspectionOf,
  missingFor, monthsLater, recordOf, replacementOf, serialTwice, stillOpen, testedCircuits, type TestedCircuit,
} from './index'

const say = (text: Parameters<typeof textToString>[0]) => textToString(text, 'metric')
let n = 0
const entry = (kind: string, more: object, at = '2026-11-20T09:00:00Z') =>
  ({ id: `c${++n}`, at, by: 'Isla Brandt', wall: 'w1', kind, ...more }) as LogEntry
const planOf = (job: Job) => planWall(job.walls[0]!, contextOf(job), asBuilt(job.log, job.walls[0]!))
const wall = { id: 'w1' }
const [first, second] = ['a1-r1c1', 'a1-r1c2']

describe('the record of a wall', () => {
  it('has what was said last of each thing, and not what was corrected', () => {
    const wrong = entry('serial', { screen: first, serial: 'X' })
    const point = entry('point', { what: 'Paint', owner: 'Odd Varga', due: '2026-12-01' })
    const record = recordOf(
      [
        entry('serial', { screen: first, serial: 'A1' }),
        wrong,
        { ...entry('correction', { note: 'misread' }), corrects: wrong.id } as LogEntry,
        entry('locked', { screen: first }),
        entry('locked', { screen: second }),
        entry('locked', { screen: second, unlocked: true }),
        point,
        entry('point', { what: 'Key', owner: 'Isla', due: '2026-12-02' }),
        entry('point-done', { point: point.id }),
        entry('signed', { name: 'Mara Lind' }),
      ],
      wall,
    )
    expect(record.serials.get(first)!.serial).toBe('A1')
    expect([...record.locked.keys()]).toEqual([first])
    expect(stillOpen(record).map(({ what }) => what)).toEqual(['Key'])
    expect(record.points[0]!.done).toMatchObject({ by: 'Isla Brandt' })
    expect(record.signatures.map(({ name }) => name)).toEqual(['Mara Lind'])
  })

  it('tells of a serial number that stands at two screens, however it was typed', () => {
    const record = recordOf(
      [
        entry('serial', { screen: first, serial: 'kx-7' }),
        entry('serial', { screen: second, serial: 'KX-7' }),
        entry('serial', { screen: 'a1-r1c3', serial: 'KX-8' }),
      ],
      wall,
    )
    expect(serialTwice(record)).toEqual([{ serial: 'KX-7', screens: [first, second] }])
  })
})

describe('as built against plan', () => {
  it('tells how far holes, middles and seams are off', () => {
    const job = exampleJob()
    const plan = planOf(job)
    const screen = plan.arrays[0]!.positions[0]!
    const [one, two, ...rest] = screen.holes!
    const log = [
      entry('hole', { hole: one!.id, x: one!.x + 3, y: one!.y + 4, result: 'hit' }),
      entry('hole', { hole: two!.id, x: two!.x, y: two!.y, result: 'hit' }),
      entry('seams', {
        array: 'a1',
        round: 1,
        gaps: [
          { between: ['r1c1', 'r1c2'], end: 'top', mm: 1.1 },
          { between: ['r1c1', 'r2c1'], end: 'left', mm: 0.7 },
        ],
        steps: [{ between: ['r1c1', 'r1c2'], end: 'top', mm: -0.2 }],
        rolls: [{ screen: 'r1c1', mmPerM: 1.4 }],
      }),
    ]
    const compared = comparedWith(
      plan.arrays,
      asBuilt(log, wall),
      recordOf(log, wall),
      new Map([['a1', { x: 0.6, y: 0.6 }]]),
      0.3,
    )
    expect(compared.holes.filter(({ made }) => made).map(({ id, off }) => [id, off])).toEqual([
      [one!.id, 5],
      [two!.id, 0],
    ])
    expect(compared.holes.filter(({ made }) => !made).length).toBe(
      plan.arrays[0]!.positions.flatMap(({ holes = [] }) => holes).length - 2,
    )
    // Its two made holes are off by 3, 4 and by nothing: its middle by half of that.
    expect(compared.centres[0]).toMatchObject({ screen: screen.id, off: 2.5 })
    expect(compared.centres[1]!.made).toBeUndefined()
    expect(compared.seams.map(({ reads, off, closed }) => [reads, Number(off.toFixed(6)), closed])).toEqual([
      ['gap', 0.5, false],
      ['gap', 0.1, true],
      ['step', -0.2, true],
      ['level', 1.4, false],
    ])
    expect([compared.worst.hole, compared.worst.centre, compared.worst.seam]).toEqual([5, 2.5, expect.closeTo(0.5, 9)])
    expect(rest.length).toBeGreaterThan(0)
  })

  it('takes of several holes for one place the one that holds', () => {
    const job = exampleJob()
    const plan = planOf(job)
    const [hole] = plan.arrays[0]!.positions[0]!.holes!
    const log = [
      entry('hole', { hole: hole!.id, x: hole!.x, y: hole!.y, result: 'miss' }),
      entry('hole', { hole: hole!.id, x: hole!.x + 30, y: hole!.y, result: 'hit' }),
    ]
    expect(comparedWith(plan.arrays, asBuilt(log, wall), recordOf(log, wall), new Map(), 0.3).holes[0]).toMatchObject({
      off: 30,
      made: { result: 'hit' },
    })
  })
})

describe('what is missing before a wall is handed over', () => {
  const missing = (log: LogEntry[], circuits: TestedCircuit[] = []) => {
    const job = exampleJob()
    const plan = planOf(job)
    const [built, record] = [asBuilt(log, wall), recordOf(log, wall)]
    const compared = comparedWith(plan.arrays, built, record, new Map([['a1', { x: 0.6, y: 0.6 }]]), 0.3)
    return missingFor(plan.arrays, built, { record, compared, checks: [], circuits }, [])
      .map(({ severity, what }) => `${severity}: ${say(what)}`)
  }

  it('is a stop where a screen hangs that is not locked, and less where that is not recorded', () => {
    const hung = entry('hung', { screen: first })
    expect(missing([hung])[0]).toBe(
      'stop: Hung but not locked: R1 C1. Keep everyone clear below a screen that is not locked.',
    )
    expect(missing([hung, entry('locked', { screen: first })]).some(each => each.startsWith('stop'))).toBe(false)
    expect(missing([])).toContain('note: Not signed yet.')
  })

  it('is a stop where a circuit failed its test, a caution where none is recorded, and on paper what was measured', () => {
    const wiring = {
      circuits: [{ id: 'c1', name: 'Circuit 7', screens: [first] }, { id: 'c2', name: 'Circuit 8', screens: [second] }],
      boxes: [
        { held: true, kind: 'power', for: [first] }, { held: true, kind: 'power', for: [second] },
        { held: true, kind: 'pass-through', for: [second] },
      ],
    } as unknown as Wiring
    const tests = (log: LogEntry[]) => testedCircuits(wiring, recordOf(log, wall).circuitTests)
    const result = { circuit: 'c1', polarity: true, trip: true, load: true, tester: 'Una Berg, 4711' }
    const lacks = (log: LogEntry[]) => missing(log, tests(log)).filter(each => each.includes('ircuit'))
    expect(lacks([])).toEqual(['caution: Circuit test not recorded: Circuit 7, Circuit 8.'])
    const log = [entry('circuit-test', { ...result, trip: false, load: false })]
    expect(lacks(log)).toEqual([
      'stop: Circuit 7 failed: RCD or GFCI trip, Load test. Isolate it until a licensed electrician has mended it.',
      'caution: Circuit test not recorded: Circuit 8.',
    ])
    const again = [...log, entry('circuit-test', { ...result, tripTime: 24, current: 7.5 })]
    expect(lacks(again)).toEqual(['caution: Circuit test not recorded: Circuit 8.'])
    expect(circuitTestBlocks(tests(again), () => '2 Dec 2026')[1]).toMatchObject({
      rows: [
        ['Circuit 7', 'pass', 'pass, 24 ms', 'pass, 7.5 A', 'Una Berg, 4711', expect.stringContaining('2 Dec 2026')],
        ['Circuit 8', 'not recorded', '', '', '', ''],
      ],
    })
    expect(circuitTestBlocks([], () => '')).toEqual([])
  })

  it('names twice-used serials, open seams, a failed test picture and open points', () => {
    const told = missing([
      entry('serial', { screen: first, serial: 'K1' }),
      entry('serial', { screen: second, serial: 'K1' }),
      entry('seams', { array: 'a1', round: 1, gaps: [{ between: ['r1c1', 'r1c2'], end: 'top', mm: 2 }] }),
      entry('tested', { array: 'a1', passed: false, note: 'R2 C2 swapped' }),
      entry('point', { what: 'x', owner: 'y', due: '2026-12-01' }),
    ]).join('\n')
    for (const part of [
      'K1 is recorded for R1 C1 and R1 C2',
      '1 seam, step or level was out of tolerance at the last reading: R1 C1 | R1 C2, top gap',
      'The test pattern of Departures failed: R2 C2 swapped',
      '1 open snag',
    ])
      expect(told).toContain(part)
  })
})

describe('years later', () => {
  it('counts inspections from the last one, or from when it was signed for', () => {
    const signed = entry('signed', { name: 'Mara' }, '2024-08-31T10:00:00Z')
    expect(inspectionOf(recordOf([], wall), [], false, {}).due).toBeUndefined()
    expect(inspectionOf(recordOf([signed], wall), [], false, { inspections: 'half-yearly' }).due).toBe('2025-02-28')
    const inspected = entry('visit', { purpose: 'inspection' }, '2025-09-01T10:00:00Z')
    const service = entry('visit', { purpose: 'service' }, '2026-01-01T10:00:00Z')
    expect(inspectionOf(recordOf([signed, inspected, service], wall), [], false, {})).toMatchObject({
      every: 12,
      last: '2025-09-01',
      due: '2026-09-01',
    })
    expect([monthsLater('2024-02-29', 12), monthsLater('2026-11-27', 3)]).toEqual(['2025-02-28', '2027-02-27'])
    const told = inspectionOf(
      recordOf([], wall),
      [{ kind: 'pull-out', secures: ['safety-wire'] } as never],
      true,
      {},
    ).inspected.map(({ what }) => say(what))
    expect(told).toEqual(expect.arrayContaining(['Arms and slides', 'Safety wires and wind locks', 'Weather']))
  })

  it('tells how the seams have moved since they were handed over, and by how much a year', () => {
    const read = (at: string, gap: number, step: number) =>
      entry(
        'seams',
        {
          array: 'a1',
          round: 1,
          gaps: [
            { between: ['r1c1', 'r1c2'], end: 'top', mm: gap },
            { between: ['r1c1', 'r1c2'], end: 'bottom', mm: 2 },
          ],
          steps: [{ between: ['r1c1', 'r1c2'], end: 'top', mm: step }],
        },
        at,
      )
    const seams = [
      read('2024-01-01T08:00:00Z', 7, 4),
      read('2024-01-01T10:00:00Z', 2, 0),
      read('2025-01-01T04:00:00Z', 2.2, -0.1),
      read('2025-12-31T10:00:00Z', 2.4, 0.2),
    ]
    const record = recordOf([...seams, entry('signed', { name: 'Mara' }, '2024-01-02T10:00:00Z')], wall)
    const drift = driftOf(record.seams, { x: 2, y: 2 }, '2024-01-02T10:00:00Z')
    // What was read while it was trued is none of its life.
    expect(drift.readings.map(({ gap, step }) => [Number(gap.toFixed(6)), step])).toEqual([
      [0, 0],
      [0.2, 0.1],
      [0.4, 0.2],
    ])
    expect([drift.trend!.gap, drift.trend!.step]).toEqual([expect.closeTo(0.2, 3), expect.closeTo(0.1, 3)])
    expect(drift.seams[0]).toMatchObject({ label: 'R1 C1 | R1 C2, top', reads: 'gap', by: expect.closeTo(0.4, 9) })
    expect(driftOf(record.seams.slice(0, 2), { x: 2, y: 2 })).toMatchObject({ readings: [{}], seams: [] })
    expect(driftOf([], { x: 2, y: 2 })).toEqual({ readings: [], seams: [] })
  })

  it('says how a screen is got out: pulled out where its mount comes out, else what is above it first', () => {
    const job = exampleJob()
    const plan = planOf(job).arrays[0]!
    const lower = plan.positions.find(({ row, column }) => row === 2 && column === 2)!
    const out = getOutOf(lower.id, job.walls[0]!.arrays[0]!, plan, job.catalogue)!
    expect(out.first).toEqual([])
    expect(out.steps.map(say).join(' ')).toContain('312 mm from the wall')
    for (const mount of job.catalogue.mounts) Object.assign(mount, { kind: 'fixed', lift: 24 })
    expect(getOutOf(lower.id, job.walls[0]!.arrays[0]!, plan, job.catalogue)!.first).toEqual(['R1 C2'])
    expect(getOutOf(plan.positions[0]!.id, job.walls[0]!.arrays[0]!, plan, job.catalogue)!.first).toEqual([])
    // How far it is lifted is not known: what is above is taken to be in the way, and it is said.
    for (const mount of job.catalogue.mounts) delete mount.lift
    const unknown = getOutOf(lower.id, job.walls[0]!.arrays[0]!, plan, job.catalogue)!
    expect([unknown.first, unknown.steps.map(say).join(' ')]).toEqual([
      ['R1 C2'],
      expect.stringContaining('by the height in the mount’s data sheet'),
    ])
    expect(getOutOf('none', job.walls[0]!.arrays[0]!, plan, job.catalogue)).toBeUndefined()
  })

  it('says what is behind a screen', () => {
    const { job, wall: demo } = demoWall('ravel-sands', 'lounge')
    const of = handedOverOf({ ...job, walls: [demo] }, demo)
    const behind = behindOf(of.plan.arrays[0]!.positions[0]!, of.built, of.plan.wiring, of.catalogue.fasteners, of.site)
    expect(behind.holes.map(say)[0]).toMatch(
      /^top: 1657\.9 mm .*2150\.6 mm .*: Torve C8 × 65 wedge anchor, drilled 50 mm deep$/,
    )
    expect(say(behind.circuit[0]!)).toContain('Board L, circuit 12')
    expect(behind.call[0]).toBe('Harbour electrics, circuits and boards, 555 0142')
  })

  it('says what another model in its place changes', () => {
    const job = exampleJob()
    const [now] = job.catalogue.displays
    const position = planOf(job).arrays[0]!.positions[0]!
    const told = (change: object) =>
      replacementOf(position, { ...now!, id: 'next', ...change }, job.walls[0]!.arrays[0]!, job.catalogue)
    expect(told({}).filter(({ severity }) => severity !== 'note')).toEqual([])
    expect(told({ width: now!.width + 4 })[0]).toMatchObject({ severity: 'stop', about: 'seams' })
    expect(told({ width: now!.width - 1 })[0]).toMatchObject({ severity: 'caution', about: 'seams' })
    expect(told({ vesa: { ...now!.vesa, width: 200 } }).find(({ about }) => about === 'mount')).toMatchObject({
      severity: 'stop',
    })
    expect(told({ mass: 60 }).some(({ severity, about }) => severity === 'stop' && about === 'mount')).toBe(true)
    expect(told({ resolution: { x: 3840, y: 2160 } }).find(({ about }) => about === 'pixels')).toMatchObject({
      severity: 'caution',
    })
    expect(told({ depth: now!.depth + 10 }).find(({ about }) => about === 'depth')).toMatchObject({
      severity: 'caution',
    })
  })
})

describe('a handover', () => {
  const { job, wall: demo } = demoWall('ravel-sands', 'lounge')
  const of = handedOverOf({ ...job, walls: [demo] }, demo)
  const texts = (shape: unknown): string[] =>
    typeof shape === 'string' ? [shape] : (shape as { content: unknown[] }).content.flatMap(texts)

  it('is drawn with all that it is made of, over as many pages as it takes', () => {
    const { pages } = drawHandover(of, { paper: 'a4', units: 'metric' })
    const all = pages.flatMap(texts)
    for (const part of [
      'Open items',
      'Sign-off',
      'Mara Lind, harbour office, 10 Oct 2024',
      'Holes, as built and as planned',
      'Seams, steps and levels',
      'Loads and cautions',
      'Fasteners',
      'Circuits',
      'Cable schedule',
      'Screens',
      'KL46-2610-2215',
      'Removal steps',
      'Inspections',
      'Snags',
    ])
      expect(all.some(text => text.includes(part))).toBe(true)
    // A screen that was replaced has the serial number of the one that hangs there now.
    expect(all).not.toContain('KL46-2409-1055')
    expect(texts(pages.at(-1)!)).toContain(`page ${pages.length} of ${pages.length}`)
  })

  it('has a stop on its front page', () => {
    const log = of.log.filter(({ kind }) => kind !== 'locked')
    const { pages } = drawHandover({ ...of, log }, { paper: 'letter', units: 'imperial' })
    expect(texts(pages[0]!)).toContain('STOP')
    expect(handoverOf({ ...of, log }).missing[0]).toMatchObject({ severity: 'stop' })
  })

  it('shows a client the wall and what is open, and nothing of other walls', () => {
    const view = clientViewOf(of)
    expect(view).toMatchObject({
      site: 'Ravel Sands',
      wall: 'Lounge, north wall',
      screens: 4,
      signatures: [{ name: 'Mara Lind', role: 'harbour office' }],
      points: [{ owner: 'Odd Varga' }],
    })
    expect(view.picture).toContain('<svg')
    expect(JSON.stringify(view)).not.toContain('Arrivals')
  })
})
