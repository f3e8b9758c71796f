import { sql } from 'drizzle-orm'
import { expect, it } from 'vitest'
import { eachInEmptyFirm } from '../../tests/fixtures/emptyFirm'
import { exampleJob } from '../../tests/fixtures/job'
import { refused } from '../../tests/fixtures/refused'
import type { Job, LogEntry } from '../../core/job'
import { brokenLink } from '../../core/log'
import { clientAuthor } from '../accounts/authorship'
import type { Database } from '../database/perDatabase'
import { log } from '../database/schema'
import { checkIsNew, forgetArriving, freeSiteId, importInSteps, importJob } from './importing'
import { addEntries } from './log'
import { exportJob, listSites } from './sites'
import { siteRow } from './siteRows'

let db: Database
const AT = '2026-11-12T09:00:00.000Z'
eachInEmptyFirm((empty) => { db = empty })

const remark = (id: string): LogEntry => ({ id, at: AT, by: 'Isla', wall: 'w1', kind: 'remark', note: id })
const long = (id: string, ids = Array.from({ length: 700 }, (_, n) => `r${n}`)): Job => {
  const job = exampleJob()
  return { ...job, site: { ...job.site, id }, log: ids.map(remark) }
}
const incoming = (job: Job) => ({ job, imported: { by: 'Isla', at: AT, entries: job.log.length }, saves: new Map() })
const ids = () => listSites(db).map(({ id }) => id)
/** Why the database refuses to take entries away. */
const onlyAddedTo: unknown = expect.objectContaining({
  cause: expect.objectContaining({ message: 'the log is only ever added to' }),
})
const breath = () => new Promise(setImmediate)

it('a long log comes in by steps: others write meanwhile, and its site is seen once all of it is there', async () => {
  importJob(db, { ...exampleJob(), log: [] }, 'Isla', AT)
  const arriving = importInSteps(db, incoming(long('long')))
  expect(ids()).toEqual(['holm-point'])
  expect(refused(() => siteRow(db, 'long')).status).toBe(404)
  expect(refused(() => checkIsNew(db, 'long'))).toMatchObject({ status: 409, code: 'site-exists' })
  expect(freeSiteId(db, 'long')).toBe('long-2')
  await breath()
  expect(addEntries(db, { siteId: 'holm-point', wall: 'w1' }, clientAuthor, [remark('x')], AT)).toMatchObject([
    { entry: { seq: 1 } },
  ])
  await expect(importInSteps(db, incoming(long('long')))).rejects.toMatchObject({ statusCode: 409 })
  expect(await arriving).toBe('long')
  expect(ids()).toEqual(['holm-point', 'long'])
  importJob(db, long('at-once'), 'Isla', AT)
  const [slow, quick] = [exportJob(db, 'long'), exportJob(db, 'at-once')]
  expect([slow.log.length, brokenLink(slow.log)]).toEqual([700, undefined])
  expect({ ...slow, site: quick.site }).toEqual(quick)
  expect(siteRow(db, 'long').imported).toEqual({ by: 'Isla', at: AT, entries: 700 })
})

it('what fails on its way leaves nothing, takes nothing of others, and the log stays what it was', async () => {
  const other = importInSteps(db, incoming(long('other')))
  const twice = Array.from({ length: 700 }, (_, n) => `r${n === 650 ? 1 : n}`)
  await expect(importInSteps(db, incoming(long('twice', twice)))).rejects.toThrow()
  await other
  expect(ids()).toEqual(['other'])
  expect(db.select().from(log).all()).toHaveLength(700)
  expect(() => db.run(sql`DELETE FROM log`)).toThrow(onlyAddedTo)
  expect(freeSiteId(db, 'twice')).toBe('twice')
})

it('what a power cut left half way is gone after the next start, and nothing else is', async () => {
  importJob(db, { ...exampleJob(), log: [remark('kept')] }, 'Isla', AT)
  void importInSteps(db, incoming(long('cut'))).catch(() => {})
  await breath()
  const there = () => db.select({ id: log.id }).from(log).all().map(({ id }) => id)
  expect(there().length).toBeGreaterThan(1)
  forgetArriving(db)
  expect([ids(), there()]).toEqual([['holm-point'], ['kept']])
  expect(() => db.run(sql`DELETE FROM log`)).toThrow(onlyAddedTo)
  checkIsNew(db, 'cut')
})
