import { describe, expect, it } from 'vitest'
import { demoJob } from '../../tests/fixtures/demo'
import { exampleJob } from '../../tests/fixtures/job'
import type { InvalidJob, Job, LogEntry } from '../job'
import { idOfFrozen, validateJob } from '../job'
import { asBuilt } from '../log'
import { contextOf, planWall } from '../plan'
import { textToString } from '../units'
import {
  astray, differenceOf, freeze, frozenFaults, isAlike, letterOf, nextRevision, numberOf, revisionsOf, sheetSource,
  storedOf,
  withFrozen, type Frozen,
} from './index'

const issuedEntry = (revision: string, frozen: string, id = `issued-${revision}`): LogEntry => ({
  id,
  at: '2026-11-20T09:00:00Z',
  by: 'Isla Brandt',
  wall: 'w1',
  kind: 'issued',
  revision,
  frozen,
})
/** The example with its mark-out issued as A. */
function issued(change: (job: Job) => void = () => {}): { job: Job, frozen: Frozen } {
  const job = exampleJob()
  change(job)
  const [wall] = job.walls
  const frozen = freeze(
    wall!,
    { ...job, rules: contextOf(job).rules },
    asBuilt(job.log, wall!),
    planWall(wall!, contextOf(job)),
  )
  job.walls[0] = { ...wall!, revisions: [storedOf(frozen)] }
  job.log.push(issuedEntry('A', frozen.id))
  return { job, frozen }
}
const planOf = (job: Job) => planWall(job.walls[0]!, contextOf(job), asBuilt(job.log, job.walls[0]!))
const thrown = (act: () => unknown) => {
  try {
    act()
  }
  catch (error) {
    return (error as InvalidJob).faults.map(({ path, message }) => `${path} ${message}`)
  }
}

describe('letters', () => {
  it('go on after Z, and one that was withdrawn keeps its own', () => {
    expect([0, 25, 26, 51, 52, 701, 702].map(letterOf)).toEqual(['A', 'Z', 'AA', 'AZ', 'BA', 'ZZ', 'AAA'])
    for (let n = 0; n < 2_000; n++) expect(numberOf(letterOf(n))).toBe(n)
    expect([numberOf('a'), numberOf(''), numberOf('A1')]).toEqual([-1, -1, -1])
    const log: LogEntry[] = [
      issuedEntry('A', 'x'),
      issuedEntry('B', 'y'),
      {
        id: 'c',
        at: '2026-11-20T10:00:00Z',
        by: 'Isla',
        wall: 'w1',
        kind: 'correction',
        corrects: 'issued-B',
        note: 'wrong wall',
      },
    ]
    expect([
      nextRevision(log, 'w1'),
      nextRevision(log, 'w2'),
      revisionsOf(log, { id: 'w1' }).map(({ revision }) => revision),
    ]).toEqual(['C', 'A', ['A']])
  })
})

describe('what is frozen', () => {
  it('is plain JSON with its own SHA-256, comes back from a file to the letter, and is all that a sheet is made from', () => {
    const { job, frozen } = issued()
    expect(frozen.id).toBe(idOfFrozen(JSON.parse(JSON.stringify(frozen)) as Frozen))
    const back = validateJob(JSON.parse(JSON.stringify(job)))
    expect(back.walls[0]!.revisions![0]).toEqual(storedOf(frozen))
    // What is decided later is not in it.
    back.walls[0]!.arrays[0]!.at.x.value += 40
    const source = sheetSource(back, back.walls[0]!)!
    expect([source.issue?.revision, source.plan]).toEqual(['A', frozen.plan])
    expect(sheetSource(back, back.walls[0]!, 'draft')!.issue).toBeUndefined()
    expect(sheetSource(back, back.walls[0]!, 'draft')!.plan.arrays[0]!.outline.x).toBeCloseTo(
      frozen.plan.arrays[0]!.outline.x + 40,
      9,
    )
    expect(sheetSource(back, back.walls[0]!, 'B')).toBeUndefined()
  })

  it('is refused where a file has changed it', () => {
    const { job } = issued()
    const file = JSON.parse(JSON.stringify(job)) as Job
    file.walls[0]!.revisions![0]!.plan.arrays[0]!.positions[0]!.holes![0]!.x += 1
    expect(thrown(() => validateJob(file))).toEqual([
      expect.stringMatching(/^\$\.walls\[0\]\.revisions\[0\] does not match what was issued/),
    ])
  })

  it('is issued only where the server works out the same, and no stop stands against it', () => {
    const { frozen } = issued()
    const sealed = (change: (frozen: Frozen) => void): Frozen => {
      const copy = JSON.parse(JSON.stringify(frozen)) as Frozen
      change(copy)
      return { ...copy, id: idOfFrozen(copy) }
    }
    const faults = (given: unknown) => frozenFaults(given).map(({ path, message }) => `${path} ${message}`)
    expect(faults(frozen)).toEqual([])
    expect(faults({ ...frozen, id: 'x' })).toEqual(['$.id is not the SHA-256 of its content'])
    expect(
      faults(
        sealed((copy) => {
          copy.plan.arrays[0]!.positions[0]!.holes![0]!.x += 1
        }),
      ),
    ).toEqual([expect.stringContaining('$.plan does not match what this server calculates')])
    expect(
      faults(
        sealed((copy) => {
          copy.after = 'a'.repeat(64)
        }),
      ),
    ).toEqual([expect.stringContaining('$.after is a revision that is not on this server')])
    expect(faults(sealed((copy) => { copy.wall.arrays[0]!.at.x.value = 3700 }))[0]).toContain('has a stop: ')
    expect(faults(sealed((copy) => { copy.wall.width = -1 }))).toEqual([expect.stringContaining('$.wall.width')])
    expect(faults({ id: 'x' }).length).toBeGreaterThan(5)
    // The same stop overridden by name lets it through.
    const stopped = exampleJob()
    stopped.walls[0]!.arrays[0]!.screw = 6
    const [stop] = planOf(stopped).findings.filter(({ severity }) => severity === 'stop')
    stopped.log.push({
      id: 'o',
      at: '2026-11-20T08:00:00Z',
      by: 'Isla Brandt',
      wall: 'w1',
      kind: 'override',
      code: stop!.code,
      subject: stop!.subject.id,
      reason: 'Hooks carry it',
    })
    const built = asBuilt(stopped.log, stopped.walls[0]!)
    const overridden = freeze(stopped.walls[0]!, { ...stopped, rules: {} }, built, planOf(stopped))
    expect([faults(overridden), overridden.built.overrides.map(({ by }) => by)]).toEqual([[], ['Isla Brandt']])
  })
})

describe('what an earlier version issued', () => {
  const earlier = (frozen: Frozen): Frozen => {
    const former = { ...frozen, program: '0.1.0' }
    return { ...former, id: idOfFrozen(former) }
  }

  it('is not planned again: a planner decides about it', () => {
    const { job, frozen } = issued()
    const moved = earlier({ ...frozen, plan: { ...frozen.plan, arrays: [] } })
    expect(frozenFaults(moved)).toEqual([])
    expect(astray(moved, job)).toContain('version 0.1.0 of the program planned it')
    expect(astray(frozen, job)).toBeUndefined()
  })

  it('stays, and one caution lists what the rules of today would refuse of it', () => {
    const { job, frozen } = issued((job) => { job.walls[0]!.arrays[0]!.screw = 6 })
    const as = (stored: Frozen, array = job.walls[0]!.arrays[0]!) => {
      const wall = { ...job.walls[0]!, arrays: [array], revisions: [storedOf(stored)] }
      const log = [issuedEntry('A', stored.id)]
      const plan = planWall(wall, contextOf(job), asBuilt(log, wall))
      const said = plan.findings.filter(({ code }) => code === 'issued-by-earlier-rules')
      return said.map(({ message }) => textToString(message, 'metric'))
    }
    const [said, ...others] = as(earlier(frozen))
    expect([others, said]).toEqual([[], expect.stringMatching(/Revision A .* version 0\.1\.0 .* too short for/)])
    expect(as(frozen)).toEqual([])
    // A design that was changed since has stops of its own.
    expect(as(earlier(frozen), { ...job.walls[0]!.arrays[0]!, screw: 7 })).toEqual([])
  })
})

describe('the difference of two revisions', () => {
  it('is each mark that moved, from where to where, by how much; and nothing between a plan and itself', () => {
    const { job, frozen } = issued()
    expect(isAlike(differenceOf(frozen.plan, planOf(job)))).toBe(true)
    job.walls[0]!.arrays[0]!.at.x.value += 40
    const { moved, added, gone, change } = differenceOf(frozen.plan, planOf(job))
    const corner = moved.find(({ id }) => id === 'a1-corner-tl')!
    expect([corner.to.x - corner.from.x, corner.by, corner.to.y]).toEqual([
      expect.closeTo(40, 9),
      expect.closeTo(40, 9),
      expect.closeTo(corner.from.y, 9),
    ])
    expect([added, gone]).toEqual([[], []])
    expect(change.plates.length + change.marks.length).toBeGreaterThan(0)
  })

  it('has what is new and what is gone, and another bit; a datum that is elsewhere moves no mark', () => {
    const { job, frozen } = issued()
    job.walls[0]!.datum = { x: 500, label: 'door jamb' }
    expect(
      differenceOf(frozen.plan, planOf(job)).moved.filter(
        ({ kind }) => kind !== 'level-line' && kind !== 'centre-line',
      ),
    ).toEqual([])
    job.walls[0]!.arrays[0]!.rows = 1
    const fewer = differenceOf(frozen.plan, planOf(job))
    expect(fewer.gone.filter(({ kind }) => kind === 'hole')).toHaveLength(12)
    expect(differenceOf(planOf(job), frozen.plan).added.filter(({ kind }) => kind === 'hole')).toHaveLength(12)
    const { plan } = issued(({ walls: [wall] }) => { wall!.structure.specificGravity = 0.55 }).frozen
    expect(differenceOf(frozen.plan, plan).redrilled).toHaveLength(24)
  })
})

describe('a wall that was issued', () => {
  it('stays as it was issued when a reading moves a member under a hole that still holds', () => {
    const { job } = issued()
    job.walls[0]!.structure.members![0]!.centre += 3
    const plan = planOf(job)
    expect(plan.change).toEqual({ plates: [], marks: [], added: [], dropped: [], sum: 0 })
    // Without the issue it would follow the member's middle.
    expect(planOf({ ...job, log: [] }).arrays[0]!.positions[0]!.holes![0]!.x).not.toBe(
      plan.arrays[0]!.positions[0]!.holes![0]!.x,
    )
  })

  it('tells what was frozen at each moment of a log that names none', () => {
    const job = withFrozen(demoJob('stennick'))
    const revisions = revisionsOf(job.log, job.walls[0]!)
    expect(revisions.map(({ revision, frozen }) => [revision, frozen?.after !== undefined])).toEqual([
      ['A', false],
      ['B', true],
      ['C', true],
    ])
    expect(differenceOf(revisions[0]!.frozen!.plan, revisions[1]!.frozen!.plan).change).toMatchObject({
      plates: [],
      marks: [{ hole: 'row-r1c2-top-1' }],
      sum: expect.closeTo(80, 3),
    })
    expect(
      revisions.map(({ frozen }) => frozenFaults(frozen, revisions.find(({ id }) => id === frozen!.after)?.frozen)),
    ).toEqual([[], [], []])
  })
})
