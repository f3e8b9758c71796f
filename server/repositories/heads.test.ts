import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { sql } from 'drizzle-orm'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { refused } from '../../tests/fixtures/refused'
import { headCode, type LogEntry } from '../../core/log'
import { clientAuthor } from '../accounts/authorship'
import { openDatabase } from '../database/connection'
import type { Database } from '../database/perDatabase'
import { signFor } from '../database/signer'
import { openHeadKey, publicKeys, signerOf } from '../guard/headKey'
import { headsOf, signAllHeads, signHeads, sitesCut } from './heads'
import { addEntries } from './log'
import { copyOf, importJob } from './importing'
import { exportJob } from './sites'
import { siteRow } from './siteRows'

let opened: ReturnType<typeof openDatabase>
let db: Database
let folder: string
const AT = '2026-11-12T09:00:00.000Z'
const site = () => siteRow(db, 'holm-point')
const remarks = (from: number, count: number) => Array.from({ length: count }, (_, n) => (
  { id: `e${from + n}`, at: AT, by: 'Isla', wall: 'w1', kind: 'remark', note: 'dry' } as LogEntry))
const add = (from: number, count: number) =>
  addEntries(db, { siteId: 'holm-point', wall: 'w1' }, clientAuthor, remarks(from, count), AT)
const startAgain = () => {
  openHeadKey()
  signFor(db, signerOf('firm'))
}

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'wide-trellis-keys-'))
  vi.stubEnv('WT_KEYS', folder)
  opened = openDatabase(':memory:')
  db = opened.db
  startAgain()
  importJob(db, exampleJob(), 'Isla', AT)
})
afterEach(() => {
  opened.close()
  rmSync(folder, { recursive: true })
  vi.unstubAllEnvs()
})

it('is signed when a log has grown by fifty entries, and by one after a day', () => {
  add(0, 49)
  expect(headsOf(db, site().key)).toEqual([])
  add(49, 1)
  expect(headsOf(db, site().key)).toMatchObject([{ seq: 50, key: publicKeys()[0] }])
  add(50, 1)
  const signedAt = Date.parse(headsOf(db, site().key)[0]!.at)
  const after = (hours: number) => new Date(signedAt + hours * 3_600_000).toISOString()
  signAllHeads(db, after(23))
  expect(headsOf(db, site().key).length).toBe(1)
  signAllHeads(db, after(25))
  expect(headsOf(db, site().key).map(({ seq }) => seq)).toEqual([50, 51])
  // What did not grow is not signed again.
  signAllHeads(db, after(99))
  expect(headsOf(db, site().key).length).toBe(2)
})

it('is signed at every entry that issues a mark-out, however short the log is, and once', () => {
  const issued = { id: 'i1', at: AT, by: 'Isla', wall: 'w1', kind: 'issued', revision: 'A' } as LogEntry
  const job = exampleJob()
  importJob(db, { ...job, site: { ...job.site, id: 'other' }, log: [issued, ...remarks(0, 2)] }, 'Isla', AT)
  for (const _ of [1, 2]) signHeads(db, siteRow(db, 'other'))
  expect(headsOf(db, siteRow(db, 'other').key).map(({ seq }) => seq)).toEqual([1])
})

it('tells of a log whose end was cut off behind the server’s back, and of its heads taken with it', () => {
  add(0, 60)
  expect(sitesCut(db)).toEqual([])
  for (const table of ['log', 'heads']) db.run(sql.raw(`DROP TRIGGER ${table}_no_delete`))
  db.run(sql`DELETE FROM log WHERE seq > 40`)
  db.run(sql`DELETE FROM heads`)
  // The file of heads lies where those who have the database do not reach.
  startAgain()
  expect(sitesCut(db)).toMatchObject([{ site: 'holm-point', head: { seq: 60 } }])
})

it('keeps its key and what it signed from one start to the next, a line that was cut short aside', () => {
  add(0, 50)
  const file = join(folder, 'heads.jsonl')
  writeFileSync(file, `${readFileSync(file, 'utf8')}{"firm":"fir`)
  const before = publicKeys()
  startAgain()
  expect([publicKeys(), signerOf('firm')!.kept('holm-point').map(({ seq }) => seq)]).toEqual([before, [50]])
  expect(signerOf('another')!.kept('holm-point')).toEqual([])
})

it('goes out with the job file and comes in again; a copy has none, and one that is not of the log is refused', () => {
  add(0, 50)
  const job = exportJob(db, 'holm-point')
  expect(job.heads!.map(headCode)).toEqual([headCode(job.log[49]!)])
  const as = (id: string, heads = job.heads) => ({ ...job, site: { ...job.site, id }, heads: heads! })
  importJob(db, as('again'), 'Isla', AT)
  expect(exportJob(db, 'again').heads).toEqual(job.heads)
  importJob(db, copyOf(job, 'copy', 'Copy'), 'Isla', AT)
  expect(exportJob(db, 'copy').heads).toBeUndefined()
  const wrong = [{ ...job.heads![0]!, hash: job.log[3]!.hash! }]
  expect(refused(() => importJob(db, as('third', wrong), 'Isla', AT)))
    .toMatchObject({ status: 422, faults: [{ path: '$.heads' }] })
})
