import { afterEach, beforeEach, expect, it } from 'vitest'
import type { Job, LogEntry, StoredRevision, Wall } from '../../core/job'
import { asBuilt } from '../../core/log'
import { contextOf, planWall } from '../../core/plan'
import { freeze, type Frozen } from '../../core/revision'
import { exampleJob } from '../../tests/fixtures/job'
import { refused } from '../../tests/fixtures/refused'
import { clientAuthor } from '../accounts/authorship'
import { openDatabase } from '../database/connection'
import { addEntries } from './log'
import { addRevision } from './revisions'
import { saveFirmRules } from './firm'
import { listAside } from './setAside'
import { importJob } from './importing'
import { readWall, saveWall } from './walls'

let opened: ReturnType<typeof openDatabase>
const AT = '2026-11-20T09:00:00Z'
const SITE = 'holm-point'
beforeEach(() => {
  opened = openDatabase(':memory:')
  importJob(opened.db, exampleJob(), 'Isla', AT)
})
afterEach(() => opened.close())

/** What a device freezes of the wall as the server has it, or of one that was changed there. */
function frozenOf(change: (job: Job) => void = () => {}, more: Partial<Frozen> = {}): Frozen {
  const job = structuredClone(readWall(opened.db, SITE, 'w1').job)
  change(job)
  const [wall] = job.walls as [Wall]
  const context = contextOf(job)
  return freeze(wall, { ...job, rules: context.rules }, asBuilt(job.log, wall), planWall(wall, context), more)
}
function issue(frozen: Frozen, revision = 'A') {
  addRevision(opened.db, SITE, 'w1', frozen as unknown as StoredRevision)
  const entry = {
    id: `i-${revision}-${frozen.id}`,
    at: AT,
    by: 'Isla',
    wall: 'w1',
    kind: 'issued',
    revision,
    frozen: frozen.id,
  } as LogEntry
  return addEntries(opened.db, { siteId: SITE, wall: 'w1' }, clientAuthor, [entry], AT)[0]!
}
const waits = (why: string) => ({ setAside: expect.stringContaining(why) as string })

it('a mark-out that follows from the saved wall is issued; so is the next, after it', () => {
  const first = frozenOf()
  expect(issue(first)).toMatchObject({ entry: { revision: 'A' } })
  expect(issue(frozenOf(() => {}, { after: first.id }), 'B')).toMatchObject({ entry: { revision: 'B' } })
})

it.each<[string, (job: Job) => void, string]>([
  ['another design', ({ walls: [wall] }) => { wall!.arrays[0]!.gap.x = 3 }, 'its design of the wall'],
  ['a name that nobody saved', ({ walls: [wall] }) => { wall!.name = 'Never saved' }, 'its design of the wall'],
  ['emptied house rules', (job) => { job.rules = {} }, 'its house rules'],
  ['an altered data sheet', ({ catalogue }) => { catalogue.fasteners![0]!.thread = 70 }, 'its data sheet of lag'],
])('one of %s waits for a planner', (_, change, why) => {
  expect(issue(frozenOf(change))).toMatchObject(waits(why))
  expect(listAside(opened.db)).toHaveLength(1)
})

it('one that was issued offline waits where another person changed the wall meanwhile, and goes otherwise', () => {
  const frozen = frozenOf()
  const {
    job: {
      walls: [wall],
    },
    version,
  } = readWall(opened.db, SITE, 'w1')
  saveWall(opened.db, { siteId: SITE, id: 'w1' }, { wall: { ...wall!, height: 3400 }, version }, { by: 'Odd', at: AT })
  expect(issue(frozen)).toMatchObject(waits('its design of the wall'))
  saveFirmRules(opened.db, { lifting: 'always-two' }, 0)
  expect(issue(frozenOf())).toMatchObject({ entry: { revision: 'A' } })
})

it('numbers and authors that the server gave say nothing against it', () => {
  const { job: { walls: [wall] }, version } = readWall(opened.db, SITE, 'w1')
  const evidence = [{ id: 'e-new', method: 'probe', hit: true, x: 1900, y: 1500, by: 'Isla' }] as Wall['evidence']
  const frozen = frozenOf(({ walls: [mine] }) => { mine!.evidence = evidence })
  saveWall(opened.db, { siteId: SITE, id: 'w1' }, { wall: { ...wall!, evidence }, version }, { by: 'Odd', at: AT })
  expect(issue(frozen)).toMatchObject({ entry: { revision: 'A' } })
})

it('is not taken for another wall; after nothing, where one was issued, a planner decides', () => {
  const add = (change: (job: Job) => void) =>
    refused(() => addRevision(opened.db, SITE, 'w1', frozenOf(change) as unknown as StoredRevision))
  const OTHER_WALL = { status: 422, faults: [{ path: '$.wall' }] }
  expect(add(({ walls: [wall] }) => { wall!.id = 'w2' })).toMatchObject(OTHER_WALL)
  expect(add(({ site }) => { site.id = 'stennick' })).toMatchObject(OTHER_WALL)
  const [first, apart] = [frozenOf(), frozenOf(() => {}, { tag: 'x' })]
  issue(first)
  expect(issue(apart)).toMatchObject({ error: { faults: [{ path: '$.revision' }] } })
  expect(issue(apart, 'B')).toMatchObject(waits('it comes after no revision'))
  addRevision(opened.db, SITE, 'w1', first as unknown as StoredRevision)
})

it('one that does not know a hole that was drilled meanwhile waits; one that knows a hole of nobody’s does too', () => {
  const hole = (id: string): LogEntry => ({
    id, at: AT, by: 'Odd', wall: 'w1', kind: 'hole', hole: 'a1-r1c1-top-1', x: 1900, y: 2090.4, result: 'hit',
  })
  const before = frozenOf()
  addEntries(opened.db, { siteId: SITE, wall: 'w1' }, clientAuthor, [hole('h1')], AT)
  expect(issue(before)).toMatchObject(waits('it does not know 1 drilled hole that had been recorded'))
  expect(issue(frozenOf(({ log }) => { log.push({ ...hole('h2'), hole: 'a1-r1c1-top-2', x: 2100 } as LogEntry) })))
    .toMatchObject(waits('it rests on 1 drilled hole that the log of this wall does not have'))
  expect(issue(frozenOf())).toMatchObject({ entry: { revision: 'A' } })
})
