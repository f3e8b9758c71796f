import { describe, expect, it } from 'vitest'
import { demoWall } from '../../tests/fixtures/demo'
import { exampleJob } from '../../tests/fixtures/job'
import type { Job } from '../job'
import { asBuilt, type LogEntry } from '../log'
import { setBuildUp } from '../edits/survey'
import { contextOf, planWall } from '../plan'
import { buildUpFindings, drillingCautions } from '../survey'
import { tapeReading, textToString } from '../units'
import { kitOf, presetsOf, runOf, type RunStep } from './index'

function of(job: Job, log: LogEntry[] = job.log) {
  const [wall] = job.walls
  const plan = planWall(wall!, contextOf(job), asBuilt(log, wall!))
  return { wall: wall!, ...plan, catalogue: job.catalogue, rules: contextOf(job).rules, units: 'metric' as const }
}
const told = (text: Parameters<typeof textToString>[0]) => textToString(text, 'metric')

describe('parts and tools', () => {
  const kit = (job: Job, log?: LogEntry[]) => new Map(kitOf(of(job, log)).map(item => [item.id, item]))

  it('are counted out of the plan, with one in ten more of what is lost', () => {
    const items = kit(exampleJob())
    expect(items.get('kit:fastener-lag')).toMatchObject({ count: 24, spare: 3, group: 'fasteners' })
    expect(items.get('kit:mount-m1')).toMatchObject({ count: 6 })
    expect(items.get('kit:display-d46')).toMatchObject({ count: 6 })
    expect(told(items.get('kit:bit-6.5')!.why)).toBe('24 holes; deepest 74 mm: mark this depth on the bit.')
    // 21.5 kg with its middle above the shoulder: two lift.
    expect(items.get('kit:people')).toMatchObject({ count: 2 })
    expect(items.has('kit:lift-aid')).toBe(false)
  })

  it('leave out fasteners of holes that are made', () => {
    const job = exampleJob()
    const hole = of(job).arrays[0]!.positions[0]!.holes![0]!
    expect(
      kit(job, [
        {
          id: 'l1',
          at: '2026-11-20T09:00:00Z',
          by: 'Odd',
          wall: 'w1',
          kind: 'hole',
          hole: hole.id,
          x: hole.x,
          y: hole.y,
          result: 'hit',
        },
      ]).get('kit:fastener-lag')!.count,
    ).toBe(23)
  })

  it('have rails, boxes and cables where there are any, and nothing where nothing is hung', () => {
    const { job, wall } = demoWall('holm-point', 'ticket-hall')
    const groups = new Set([...kit({ ...job, walls: [wall] }).values()].map(({ group }) => group))
    expect([...groups]).toEqual(
      expect.arrayContaining(['tools', 'bits', 'fasteners', 'mounts', 'displays', 'cables', 'access']),
    )
    const bare = exampleJob()
    bare.walls[0]!.arrays = []
    expect(kitOf(of(bare))).toEqual([])
    const railed = exampleJob()
    Object.assign(railed.walls[0]!.arrays[0]!, {
      carrier: { kind: 'rail', thickness: 21, height: 41, web: 2.5, moment: 150 },
    })
    expect([...kit(railed).keys()].some(id => id.startsWith('kit:strip-rail'))).toBe(true)
  })
})

describe('the run of work', () => {
  const kinds = (job: Job) => runOf(of(job)).map(({ kind }) => kind)

  it('goes from the checks to the last lock: holes before plates, plates checked before anything is lifted', () => {
    const run = runOf(of(exampleJob()))
    const order = [...new Set(run.map(({ kind }) => kind))]
    expect(order).toEqual(['check', 'drill', 'plates', 'level', 'preset', 'uprights', 'hang'])
    expect(new Set(run.map(({ id }) => id)).size).toBe(run.length)
    const drill = run.filter(({ kind }) => kind === 'drill')
    expect(drill.flatMap(({ holes }) => holes)).toHaveLength(24)
    expect(drill.map(({ title }) => told(title))).toEqual([
      'Drill the top holes of row 1',
      'Drill the bottom holes of row 1',
      'Drill the top holes of row 2',
      'Drill the bottom holes of row 2',
    ])
    expect(run.filter(({ kind }) => kind === 'hang').map(({ hangs }) => hangs)).toEqual(
      of(exampleJob()).hanging[0]!.steps.map(({ screen }) => screen),
    )
    expect(run.every(({ why, does }) => told(why).length > 0 && does.length > 0)).toBe(true)
  })

  it('makes each circuit live and tests it before any screen is hung, box by box', () => {
    const { job, wall } = demoWall('holm-point', 'ticket-hall')
    const run = runOf(of({ ...job, walls: [wall] }))
    const live = run.findIndex(({ id }) => id === 'check:live-board-7')
    expect(live).toBeGreaterThan(run.findIndex(({ kind }) => kind === 'plates'))
    expect(live).toBeLessThan(run.findIndex(({ kind }) => kind === 'hang'))
    expect(run.filter(({ id }) => id.startsWith('check:live-'))).toHaveLength(1)
    expect(told(run[live]!.title)).toBe('Re-energise and test Outlet below, circuit 7')
    const does = run[live]!.does.map(told).join(' ')
    expect(does).toMatch(/polarity and earth at boxes b11, .*trip time.*Load test.*licence/)
    expect(told(run.find(({ id }) => id === 'cable:boxes')!.does[0]!)).toMatch(
      /^Box b11: 70 × 108 mm, centre 1624\.8 mm from wall left and 2326\.7 mm above floor\./)
  })

  it('lets cables in before the plates, and sets wind locks last where the mount has them', () => {
    const { job, wall } = demoWall('holm-point', 'ticket-hall')
    const order = kinds({ ...job, walls: [wall] })
    expect(order.lastIndexOf('cable')).toBeLessThan(order.indexOf('plates'))
    const windy = exampleJob()
    windy.catalogue.mounts[0]!.secures = ['wind-lock', 'safety-wire']
    const run = runOf(of(windy))
    expect(run.at(-1)!.kind).toBe('secure')
    expect(
      run.filter(({ kind }) => kind === 'hang').every(({ does }) => told(does.at(-1)!).includes('safety wire')),
    ).toBe(true)
  })

  it('presets upper rows up and lower rows down by what two rows may come out nearer, within the travel that there is', () => {
    const presets = (
      rows: number,
      height: number | undefined,
      change: (job: ReturnType<typeof exampleJob>) => void = () => {},
    ) => {
      const job = exampleJob()
      const array = Object.assign(job.walls[0]!.arrays[0]!, { rows, columns: 1 })
      job.walls[0]!.height = 6_000
      job.catalogue.mounts[0]!.adjust = height === undefined ? undefined : { height }
      job.catalogue.displays[0]!.sizeTolerance = 0.4
      change(job)
      return presetsOf(array, planWall(job.walls[0]!, contextOf(job)).arrays[0]!, job.catalogue, job.rules)
    }
    // 2 × √(2 × (1 + 1 + 1/12) + 0.16/6) = 4.096; + 1 − 0.6 = 4.496, set to 4.5.
    const three = presets(3, 12)
    expect([three.apart.working[0]!.value, three.apart.value, three.short]).toEqual([expect.closeTo(4.0956, 3), 4.5, 0])
    expect([three.rows, presets(2, 12).rows, presets(1, 12).rows].map(rows => rows.map(({ by }) => by))).toEqual([
      [4.5, 0, -4.5],
      [2.25, -2.25],
      [0],
    ])
    // No farther than the adjusters go, and what is then wanting is reported.
    const short = presets(3, 3)
    expect([short.rows.map(({ by }) => by), short.short]).toEqual([[3, 0, -3], expect.closeTo(1.5, 9)])
    expect(presets(3, undefined).rows.map(({ by }) => by)).toEqual([0, 0, 0])
    // A wide gap needs none; truer marks need less.
    expect(
      presets(3, 12, ({ walls: [wall] }) => {
        wall!.arrays[0]!.gap.y = 8
      }).apart.value,
    ).toBe(0)
    expect(
      presets(3, 12, ({ rules }) => {
        Object.assign(rules, { markingSigma: 0.3, drillWander: 0.3 })
      }).apart.value,
    ).toBe(2)
  })

  it('is empty where there is nothing to hang', () => {
    const bare = exampleJob()
    bare.walls[0]!.arrays = []
    expect(runOf(of(bare))).toEqual([])
  })
})

describe('a figure on the tape', () => {
  it('is the nearest whole figure and the rest, of the figure as it is printed', () => {
    const metric = (mm: number) => Object.values(tapeReading(mm, 'metric', {})).join(' ').trim()
    const imperial = (mm: number) => Object.values(tapeReading(mm, 'imperial', {})).join(' ').trim()
    expect([metric(1903), metric(1907), metric(1900), metric(1902.6), metric(-3)]).toEqual([
      '190 cm + 3 mm',
      '191 cm − 3 mm',
      '190 cm',
      '190 cm + 3 mm',
      '0 cm − 3 mm',
    ])
    expect([imperial(1903.4), imperial(25.4), imperial(1830)]).toEqual(['75" − 1/16"', '1"', '72" + 1/16"'])
  })
})

describe('the drill steps', () => {
  it('says at every drill step what breaks under a hammer, and nothing of it where only furring is drilled', () => {
    const { job, wall } = demoWall('stennick', 'departures-row')
    const drills = (rules: Job['rules'] = {}) =>
      runOf(of({ ...job, rules: { ...job.rules, ...rules }, walls: [wall] })).filter(({ kind }) => kind === 'drill')
    const isSaid = ({ does }: RunStep) => does.some(text => told(text).startsWith('Hammer action breaks hollow block.'))
    expect(drills().length).toBeGreaterThan(0)
    expect(drills().every(isSaid)).toBe(true)
    const inFurring = drills({ furring: 'into-furring' })
    expect([inFurring.length > 0, inFurring.some(isSaid)]).toEqual([true, false])
  })

  it('is said at the drill where it is about drilling', () => {
    const said = (preset: string) => {
      const { wall } = demoWall('stennick', 'departures-row')
      setBuildUp(wall, preset)
      return drillingCautions(buildUpFindings(wall)).map(text => text.join(''))
    }
    expect(said('Plaster on brick')).toEqual([expect.stringMatching(/^The strength of these bricks.*Test one anchor/)])
    expect(said('Lath and plaster on wood studs')).toEqual([expect.stringMatching(/^Hammer action.*without hammer/)])
    expect(said('Two plasterboards on wood studs')).toEqual([])
  })
})
