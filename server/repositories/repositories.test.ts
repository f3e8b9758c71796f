import { beforeEach, describe, expect, it } from 'vitest'
import { eachInEmptyFirm } from '../../tests/fixtures/emptyFirm'
import { exampleJob, exampleWall } from '../../tests/fixtures/job'
import { refused } from '../../tests/fixtures/refused'
import { readJob, writeJob, type Job, type LogEntry, type Wall } from '../../core/job'
import type { EntryOf } from '../../core/log'
import { clientAuthor } from '../accounts/authorship'
import type { Database } from '../database/perDatabase'
import { brokenLink } from '../../core/log'
import { addEntries, addLogEntry } from './log'
import { logPages } from './logRows'
import { freeSiteId, importJob } from './importing'
import { createSite, exportJob, listSites } from './sites'
import { createWall, readSegment, readWall, readWallText, saveWall, siteJobPages, wallJobPages } from './walls'
import { TASKS } from '../work/tasks'

let db: Database
const AT = '2026-11-12T09:00:00.000Z'
eachInEmptyFirm((empty) => { db = empty })

const hole: EntryOf<'hole'> = {
  id: 'l1',
  at: AT,
  by: 'Isla',
  wall: 'w1',
  kind: 'hole',
  hole: 'a1-r1c1-top-1',
  x: 1900,
  y: 2090.4,
  result: 'hit',
}

describe('a job in the database', () => {
  it('comes back as the same file, unknown keys and empty lists too', () => {
    const job = exampleJob() as Job & Record<string, unknown>
    job['x-crew'] = { lead: 'Isla' }
    Object.assign(job.site, { client: 'Skerry Sound Ferries' })
    Object.assign(job.catalogue, { brackets: [{ id: 'c1' }] })
    Object.assign(job.catalogue.mounts[0]!.plate.slots[1]!, { note: 'keyhole' })
    Object.assign(job.walls[0]!, { evidence: [], photo: null, references: [{ id: 'jamb', front: 5400, back: 760 }] })
    Object.assign(job.walls[0]!.structure, { grade: ['C16'], order: 3, version: 'x' })
    job.walls[0]!.arrays[0]!.plates = [{ row: 1, column: 2, lateralShift: -8 }]
    job.walls.push({ ...exampleWall(), id: 'bare', covering: [], arrays: [], structure: { kind: 'concrete' } })
    job.log.push({
      id: 'l1',
      at: AT,
      by: 'Isla',
      wall: 'w1',
      kind: 'hole',
      hole: 'a1-r1c1-top-1',
      x: 1900,
      y: 2090.4,
      result: 'miss',
      note: 'void',
    })
    const text = writeJob(readJob(JSON.stringify(job)))
    importJob(db, readJob(text), 'Isla', AT)
    const { log: [entry], ...out } = exportJob(db, 'holm-point')
    expect(writeJob({ ...out, log: job.log })).toBe(text)
    expect(entry).toEqual({ ...job.log[0], device: 'none', seq: 1, receivedAt: AT, prev: '', hash: entry!.hash })
    expect(JSON.parse(readWallText(db, 'holm-point', 'w1'))).toEqual(
      JSON.parse(JSON.stringify(readWall(db, 'holm-point', 'w1'))),
    )
  })

  it('is put together as text as it is written, and a long log comes in segments that do not change', () => {
    const said = { at: AT, by: 'Isla', wall: 'w1', kind: 'remark' } as const
    const remark = (n: number): LogEntry => ({ id: `r${n}`, ...said, note: `${n}` })
    const [other] = [{ ...remark(0), id: 'x', wall: 'bare' }]
    const job = exampleJob()
    job.walls.push({ ...exampleWall(), id: 'bare', arrays: [] })
    importJob(db, { ...job, log: [...Array.from({ length: 500 }, (_, n) => remark(n)), other] }, 'Isla', AT)
    const read = () => JSON.parse(readWallText(db, 'holm-point', 'w1')) as { earlier?: number, job: Job }
    const ids = (log: LogEntry[]) => [log.length, log[0]?.id, log.at(-1)?.id]
    expect([ids(read().job.log), read().earlier]).toEqual([[500, 'r0', 'r499'], undefined])
    expect(refused(() => readSegment(db, 'holm-point', 'w1', 0)).status).toBe(404)
    addEntries(db, { siteId: 'holm-point', wall: 'w1' }, clientAuthor, [remark(500)], AT)
    expect([ids(read().job.log), read().earlier]).toEqual([[1, 'r500', 'r500'], 1])
    const segment = JSON.parse(readSegment(db, 'holm-point', 'w1', 0)) as LogEntry[]
    expect([...segment, ...read().job.log]).toEqual(readWall(db, 'holm-point', 'w1').job.log)
    for (const wrong of [1, -1, 0.5, Number.NaN])
      expect(refused(() => readSegment(db, 'holm-point', 'w1', wrong)).status).toBe(404)
    const file = new TextDecoder().decode(TASKS.jobFile({ job: [...siteJobPages(db, 'holm-point')].join('') }).file)
    expect(file).toBe(writeJob(exportJob(db, 'holm-point')))
  })
})

describe('a job with a log', () => {
  it('comes by pages where its log is long, without what comes in while they are taken', () => {
    const said = { at: AT, by: 'Isla', wall: 'w1', kind: 'remark' } as const
    const remark = (n: number): LogEntry => ({ id: `r${n}`, ...said, note: `${n}` })
    const job = exampleJob()
    job.walls.push({ ...exampleWall(), id: 'bare', arrays: [] })
    const other = { ...remark(0), id: 'x', wall: 'bare' }
    importJob(db, { ...job, log: [...Array.from({ length: 1_001 }, (_, n) => remark(n)), other] }, 'Isla', AT)
    const ids = (log: LogEntry[]) => [log.length, log[0]?.id, log.at(-1)?.id]
    const pages = wallJobPages(db, 'holm-point', 'w1')
    const taken = [pages.next().value as string]
    addEntries(db, { siteId: 'holm-point', wall: 'w1' }, clientAuthor, [remark(1_001)], AT)
    taken.push(...pages)
    expect(taken.length).toBeGreaterThan(4)
    expect(ids((JSON.parse(taken.join('')) as Job).log)).toEqual([1_001, 'r0', 'r1000'])
    expect(ids((JSON.parse([...logPages(db, 1)].join('')) as LogEntry[]))).toEqual([1_003, 'r0', 'r1001'])
  })

  it('keeps the chain of its log, is added to after it, and is refused where the log was changed', () => {
    importJob(db, { ...exampleJob(), log: [hole, { ...hole, id: 'l2' }] }, 'Isla', AT)
    const out = exportJob(db, 'holm-point')
    const copy = (change: (log: LogEntry[]) => LogEntry[]) =>
      importJob(
        db,
        { ...structuredClone(out), site: { ...out.site, id: 'copy' }, log: change(structuredClone(out.log)) },
        'Isla',
        AT,
      )
    expect(refused(() => copy(([first, second]) => [{ ...first!, by: 'Nobody' }, second!]))).toMatchObject({
      status: 422,
      faults: [{ path: '$.log[0]' }],
    })
    expect(refused(() => copy(([, second]) => [second!])).faults).toMatchObject([
      { path: '$.log[0]', message: expect.stringContaining('should be number 1, but is 2') },
    ])
    copy(log => [...log, { ...hole, id: 'l3' }])
    const { log } = exportJob(db, 'copy')
    expect([log.slice(0, 2), log[2]!.prev, brokenLink(log)]).toEqual([out.log, out.log[1]!.hash, undefined])
  })

  it('is refused a second time under its own id, and gets a free one', () => {
    importJob(db, exampleJob(), 'Isla', AT)
    expect(refused(() => importJob(db, exampleJob(), 'Isla', AT))).toMatchObject({ status: 409, code: 'site-exists' })
    expect(freeSiteId(db, 'holm-point')).toBe('holm-point-2')
    expect(listSites(db)).toMatchObject([{ id: 'holm-point', walls: [{ id: 'w1', savedBy: 'Isla' }] }])
  })
})

describe('saving a wall', () => {
  beforeEach(() => void importJob(db, exampleJob(), 'Isla', AT))
  const save = (wall: unknown, version: number) =>
    saveWall(db, { siteId: 'holm-point', id: 'w1' }, { wall, version }, { by: 'Odd', at: AT })
  const changed = (change: (wall: Wall) => void) => {
    const wall = exampleWall()
    change(wall)
    return wall
  }

  it('replaces the whole wall and counts its versions', () => {
    const wall = changed((w) => {
      w.structure.members = [{ centre: 500, width: 38 }]
      delete w.features
      w.arrays[0]!.columns = 2
    })
    expect(save(wall, 1)).toEqual({ version: 2, savedAt: AT, savedBy: 'Odd' })
    const state = readWall(db, 'holm-point', 'w1')
    expect(state).toMatchObject({ version: 2, savedBy: 'Odd' })
    expect(state.job.walls).toEqual([wall])
  })

  it('refuses a stale version and shows what is kept now', () => {
    save(changed((w) => { w.width = 6300 }), 1)
    const { status, code, current } = refused(() => save(changed((w) => { w.width = 6400 }), 1))
    expect([status, code, current!.version, current!.job.walls[0]!.width]).toEqual([409, 'stale', 2, 6300])
  })

  it('refuses what is wrong by its path, and keeps nothing of it', () => {
    const paths = (wall: unknown) => {
      const { status, faults } = refused(() => save(wall, 1))
      return [status, ...faults!.map(({ path }) => path)]
    }
    expect(paths(changed((w) => { w.width = -1 }))).toEqual([422, '$.width'])
    expect(paths(changed((w) => { w.arrays[0]!.columns = 7 }))).toEqual([422, '$.arrays[0].columns'])
    expect(paths(changed((w) => { w.arrays[0]!.mount = 'none' }))).toEqual([422, '$.arrays[0].mount'])
    expect(paths(changed((w) => { w.id = 'w9' }))).toEqual([422, '$.id'])
    expect(paths('a wall')).toEqual([422, '$'])
    expect(readWall(db, 'holm-point', 'w1')).toMatchObject({ version: 1, job: { walls: [exampleWall()] } })
  })

  it('lets an edit leave what came with the file, however impossible', () => {
    const job = exampleJob()
    job.site.id = 'stennick'
    job.walls[0]!.arrays[0]!.columns = 7
    importJob(db, job, 'Isla', AT)
    const wall = job.walls[0]!
    expect(
      saveWall(
        db,
        { siteId: 'stennick', id: 'w1' },
        { wall: { ...wall, name: 'Hall' }, version: 1 },
        { by: 'Odd', at: AT },
      ).version,
    ).toBe(2)
  })

  it('answers 404 for what is not there and 409 for a wall that is', () => {
    expect(refused(() => readWall(db, 'nowhere', 'w1')).status).toBe(404)
    expect(refused(() => readWall(db, 'holm-point', 'w7')).status).toBe(404)
    expect(refused(() => createWall(db, 'holm-point', exampleWall(), 'Odd', AT)).status).toBe(409)
    createSite(db, { id: 'new', name: 'New', units: 'imperial' }, exampleJob().catalogue, 'Odd', AT)
    expect(createWall(db, 'new', exampleWall(), 'Odd', AT)).toBe('w1')
    expect(readWall(db, 'new', 'w1').job.walls).toEqual([exampleWall()])
  })
})

describe('a survey in the database', () => {
  const surveyed = (): Wall => ({
    ...exampleWall(),
    insulation: 'wool',
    fireRating: 60,
    linedIn: 1974,
    walkway: true,
    structure: {
      kind: 'block',
      gauge: 0.84,
      strength: 28,
      block: { length: 390, height: 190, joint: 10, bond: 'stack', origin: { x: 1, y: 2 }, unit: 'grouted' },
    },
    covering: [{ material: 'furring', thickness: 25, width: 45, spacing: 400, note: 'loose' }],
    evidence: [
      {
        id: 'e1',
        method: 'probe',
        x: 1,
        y: 2,
        hit: false,
        by: 'Isla',
        at: AT,
        note: 'soft',
        photo: 'p.png',
        setAside: 'a pipe',
      },
      { id: 'e2', method: 'joint', direction: 'bed', x: 3, y: 4, side: 'back', reference: 'jamb' },
    ],
    references: [{ id: 'jamb', front: 5, back: 6 }],
    blocking: [{ id: 'b1', y: 1200, found: false }],
    surface: [
      { x: 1, y: 2, distance: 150.5 },
      { x: 3, y: 4, distance: 149 },
    ],
    arrays: [{
      ...exampleWall().arrays[0]!,
      follows: { x: { rule: 'between', features: ['o1', 'o1'] }, y: { rule: 'eye', value: 1600 } },
    }],
  })

  it('comes back whole after every list of it was changed, and after it was taken away again', () => {
    importJob(db, exampleJob(), 'Isla', AT)
    saveWall(db, { siteId: 'holm-point', id: 'w1' }, { wall: surveyed(), version: 1 }, { by: 'Isla', at: AT })
    const text = writeJob(exportJob(db, 'holm-point'))
    expect(readJob(text).walls[0]).toEqual(surveyed())
    const changed = surveyed()
    changed.evidence!.shift()
    changed.surface = []
    saveWall(db, { siteId: 'holm-point', id: 'w1' }, { wall: changed, version: 2 }, { by: 'Isla', at: AT })
    expect(readJob(writeJob(exportJob(db, 'holm-point'))).walls[0]).toEqual(changed)
    saveWall(db, { siteId: 'holm-point', id: 'w1' }, { wall: exampleWall(), version: 3 }, { by: 'Isla', at: AT })
    expect(readJob(writeJob(exportJob(db, 'holm-point'))).walls[0]).toEqual(exampleWall())
  })

  it('is read as it was last kept, by whoever reads it and however often', () => {
    importJob(db, exampleJob(), 'Isla', AT)
    const width = () => [
      readWall(db, 'holm-point', 'w1').job.walls[0]!.width,
      exportJob(db, 'holm-point').walls[0]!.width,
    ]
    expect(width()).toEqual([6200, 6200])
    saveWall(
      db,
      { siteId: 'holm-point', id: 'w1' },
      { wall: { ...exampleWall(), width: 6300 }, version: 1 },
      { by: 'Isla', at: AT },
    )
    expect(width()).toEqual([6300, 6300])
    refused(() =>
      saveWall(
        db,
        { siteId: 'holm-point', id: 'w1' },
        { wall: { ...exampleWall(), width: 6400, id: 'other' }, version: 2 },
        { by: 'Isla', at: AT },
      ),
    )
    refused(() =>
      saveWall(
        db,
        { siteId: 'holm-point', id: 'w1' },
        { wall: { ...exampleWall(), width: -1 }, version: 2 },
        { by: 'Isla', at: AT },
      ),
    )
    refused(() =>
      saveWall(
        db,
        { siteId: 'holm-point', id: 'w1' },
        { wall: { ...exampleWall(), width: 6500 }, version: 1 },
        { by: 'Isla', at: AT },
      ),
    )
    expect(width()).toEqual([6300, 6300])
  })

  it('is kept for each site by itself, though its walls have the same ids', () => {
    importJob(db, exampleJob(), 'Isla', AT)
    importJob(db, { ...exampleJob(), site: { id: 'other', name: 'Other', units: 'metric' } }, 'Isla', AT)
    saveWall(
      db,
      { siteId: 'other', id: 'w1' },
      { wall: { ...exampleWall(), width: 6300 }, version: 1 },
      { by: 'Isla', at: AT },
    )
    expect(
      [readWall(db, 'holm-point', 'w1'), readWall(db, 'other', 'w1')].map(({ job, version }) => [
        job.walls[0]!.width,
        version,
      ]),
    ).toEqual([
      [6200, 1],
      [6300, 2],
    ])
  })
})

describe('who took a reading', () => {
  it('is on the server’s word: whoever saves it first, and for good', () => {
    importJob(db, exampleJob(), 'Isla', AT)
    const reading = (id: string, by?: string) => ({
      id,
      method: 'probe',
      hit: true,
      x: 1200,
      y: 1000,
      ...(by !== undefined && { by }),
    })
    const saved = (version: number, by: string, evidence: object[]) => {
      saveWall(
        db,
        { siteId: 'holm-point', id: 'w1' },
        { wall: { ...exampleWall(), evidence }, version },
        { by, at: AT },
      )
      return readWall(db, 'holm-point', 'w1').job.walls[0]!.evidence!.map(({ id, by }) => [id, by])
    }
    expect(saved(1, 'Odd', [reading('e1', 'Mallory'), reading('e2')])).toEqual([['e1', 'Odd'], ['e2', undefined]])
    expect(saved(2, 'Isla', [reading('e3', 'Mallory'), reading('e1', 'Mallory'), reading('e2', 'Mallory')])).toEqual([
      ['e3', 'Isla'],
      ['e1', 'Odd'],
      ['e2', undefined],
    ])
  })
})

describe('an override', () => {
  beforeEach(() => void importJob(db, exampleJob(), 'Isla', AT))

  it('is refused of what is never overridden', () => {
    const override = { id: 'o1', at: AT, by: 'Isla', wall: 'w1', kind: 'override', subject: 'h1', reason: 'It will do' }
    const given = (code: string) => () =>
      addLogEntry(db, { siteId: 'holm-point', wall: 'w1' }, clientAuthor, { ...override, code }, AT)
    expect(refused(given('hole-near-pipe')).faults)
      .toEqual([{ path: '$.code', message: '“hole-near-pipe” is never overridden: clear the stop' }])
    expect(given('hole-misses-member')()).toMatchObject({ seq: 1, code: 'hole-misses-member' })
  })
})
