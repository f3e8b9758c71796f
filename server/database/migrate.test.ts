import { cpSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { basename, join } from 'node:path'
import SQLite from 'better-sqlite3'
import { sql } from 'drizzle-orm'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { readJob, writeJob, type LogEntry } from '../../core/job'
import { brokenLink } from '../../core/log'
import { readCatalogue } from '../repositories/catalogue'
import { importJob } from '../repositories/importing'
import { exportJob, listSites } from '../repositories/sites'
import { exampleJob } from '../../tests/fixtures/job'
import { SOAKING } from '../../tests/fixtures/soak'
import { readWall } from '../repositories/walls'
import { openDatabase } from './connection'
import type { Database } from './perDatabase'

const FIXTURES = 'tests/fixtures/data'
const MIGRATIONS = 'server/database/migrations'
let folder: string
let file: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'wide-trellis-test-'))
  file = join(folder, 'wide-trellis.db')
})
afterEach(() => {
  vi.unstubAllEnvs()
  rmSync(folder, { recursive: true, force: true })
})

/** Opens the database for a moment. */
function opened<Result>(act: (db: Database) => Result): Result {
  const { db, close } = openDatabase(file)
  try {
    return act(db)
  }
  finally {
    close()
  }
}
/** Every site as its job file. */
const jobs = (db: Database) =>
  Object.fromEntries(listSites(db).map(({ id }) => [`${id}.json`, writeJob(exportJob(db, id))]))
/** A job file as it would be without the places that the server gave the entries of its log. */
const unchained = (text: string) => {
  const job = readJob(text)
  return writeJob({
    ...job,
    log: job.log.map(({ seq: _s, receivedAt: _r, prev: _p, hash: _h, ...entry }) => entry as LogEntry),
  })
}
const copies = () => existsSync(join(folder, 'backups')) ? readdirSync(join(folder, 'backups')).sort() : []

/** The migrations of the house and some more, of a later version. */
function laterVersion(...more: string[]) {
  const later = join(folder, 'migrations')
  if (!existsSync(later)) cpSync(MIGRATIONS, later, { recursive: true })
  const journal = JSON.parse(readFileSync(join(later, 'meta', '_journal.json'), 'utf8')) as {
    entries: { tag: string, when: number }[]
  }
  more.forEach((sql, n) => {
    const tag = `later_${journal.entries.length}`
    writeFileSync(join(later, `${tag}.sql`), sql)
    journal.entries.push({ tag, when: journal.entries.at(-1)!.when + 1 + n })
  })
  writeFileSync(join(later, 'meta', '_journal.json'), JSON.stringify(journal))
  vi.stubEnv('WT_MIGRATIONS', later)
}

/** Builds a table anew, as a change of a column asks of SQLite. */
function rebuilt(table: string): string {
  const { sql: create } = opened(db =>
    db.get<{ sql: string }>(sql`SELECT sql FROM sqlite_master WHERE name = ${table}`),
  )
  return [
    create.replace(table, 'again'),
    `INSERT INTO again SELECT * FROM ${table}`,
    `DROP TABLE ${table}`,
    `ALTER TABLE again RENAME TO ${table}`,
  ].join(';--> statement-breakpoint\n')
}

const VERSIONS = readdirSync(FIXTURES)
/** Whether later changes are tried on the folder of a version: in the gate on the first and the last. */
const isChangedLater = (name: string) => SOAKING || name === VERSIONS[0] || name === VERSIONS.at(-1)

describe.each(VERSIONS)('a data folder as %s left it', (name) => {
  const before = Object.fromEntries(
    readdirSync(join(FIXTURES, name, 'jobs')).map(job => [
      job,
      readFileSync(join(FIXTURES, name, 'jobs', job), 'utf8'),
    ]),
  )
  // What a file of that version is once this one has read it: nothing of it lost, in the form of today.
  const kept = Object.fromEntries(Object.entries(before).map(([job, text]) => [job, unchained(text)]))
  const unchainedJobs = (db: Database) =>
    Object.fromEntries(Object.entries(jobs(db)).map(([job, text]) => [job, unchained(text)]))
  beforeEach(() => cpSync(join(FIXTURES, name, 'data'), folder, { recursive: true }))

  it('gives out the same job files, byte by byte, the same catalogue and the same pictures', () => {
    const { fasteners, ...catalogue } = JSON.parse(readFileSync(join(FIXTURES, name, 'catalogue.json'), 'utf8')) as {
      fasteners: { id: string, stock?: number }[]
      stock?: Record<string, number>
    }
    // What was in stock stood in the models once; it is in the ledger now.
    const stocked = fasteners.filter(({ stock }) => stock !== undefined)
    // Of kinds of model that came later it has none.
    const expected = {
      boxes: [],
      cables: [],
      ...catalogue,
      fasteners: fasteners.map(({ stock: _, ...model }) => model),
      stock: catalogue.stock ?? Object.fromEntries(stocked.map(({ id, stock }) => [`fastener/${id}`, stock])),
    }
    expect(Object.keys(expected.stock).length).toBeGreaterThan(5)
    opened((db) => {
      expect(unchainedJobs(db)).toEqual(kept)
      // Where that version had the chain already, it is the same to the letter.
      for (const [job, text] of Object.entries(jobs(db)))
        if (before[job]!.includes('"hash"')) expect(text).toBe(before[job])
      for (const text of Object.values(jobs(db))) {
        const { log } = readJob(text)
        expect(brokenLink(log)).toBeUndefined()
        expect(log.map(({ seq }) => seq)).toEqual(log.map((_, n) => n + 1))
      }
      expect(JSON.parse(JSON.stringify(readCatalogue(db)))).toEqual(expected)
    })
    for (const photo of Object.values(before).flatMap(job =>
      [...job.matchAll(/"photo": "([^"]+)"/g)].map(([, photo]) => photo!),
    ))
      expect(
        readdirSync(join(folder, 'photos'), { recursive: true }).some(path => basename(String(path)) === photo),
      ).toBe(true)
    opened(db => expect(unchainedJobs(db)).toEqual(kept))
  })

  if (!isChangedLater(name)) return

  it('loses nothing where a table is built anew that others refer to, and keeps a copy of how it was', () => {
    opened(() => {})
    const copied = copies().length
    laterVersion(rebuilt('walls'), rebuilt('sites'))
    opened(db => expect(unchainedJobs(db)).toEqual(kept))
    expect(copies()).toHaveLength(copied + 1)
    const copy = new SQLite(join(folder, 'backups', copies().at(-1)!), { readonly: true })
    expect(copy.prepare('SELECT count(*) AS n FROM walls').get()).toEqual({
      n: Object.values(before).flatMap(job => (JSON.parse(job) as { walls: unknown[] }).walls).length,
    })
    copy.close()
  })

  it.each([
    ['that leaves rows without what they belong to', 'DELETE FROM sites'],
    ['that fails half way', `CREATE TABLE half (a);--> statement-breakpoint\n${'INSERT INTO nothing VALUES (1)'}`],
  ])('is as it was after a change %s', (_, change) => {
    opened(() => {})
    laterVersion(change)
    expect(() => openDatabase(file)).toThrow(/could not be updated and is unchanged/)
    vi.unstubAllEnvs()
    opened((db) => {
      expect(unchainedJobs(db)).toEqual(kept)
      expect(db.all(sql`SELECT name FROM sqlite_master WHERE name = 'half'`)).toEqual([])
      expect(db.get(sql`PRAGMA foreign_keys`)).toMatchObject({ foreign_keys: 1 })
    })
  })

  it('is left alone by an earlier program', () => {
    opened(() => {})
    laterVersion('ALTER TABLE sites ADD later text')
    opened(() => {})
    vi.unstubAllEnvs()
    const bytes = readFileSync(file)
    expect(() => openDatabase(file)).toThrow(/written by a newer version/)
    expect(readFileSync(file).equals(bytes)).toBe(true)
  })
})

it('puts back a trigger that was taken away or does nothing, and says so', () => {
  opened(() => {})
  const said = vi.spyOn(console, 'warn').mockImplementation(() => {})
  const sqlite = new SQLite(file)
  sqlite.exec(
    'DROP TRIGGER log_no_delete; DROP TRIGGER log_no_update;'
    + 'CREATE TRIGGER log_no_update BEFORE UPDATE ON log BEGIN SELECT 1; END',
  )
  sqlite.close()
  opened((db) => {
    importJob(
      db,
      {
        ...exampleJob(),
        log: [{ id: 'r1', at: '2026-11-20T09:00:00Z', by: 'Odd', wall: 'w1', kind: 'remark', note: 'x' }],
      },
      'Isla',
      '2026-11-20T09:00:00Z',
    )
    for (const tamper of [sql`DELETE FROM log`, sql`UPDATE log SET wall = 'w2'`]) expect(() => db.run(tamper)).toThrow()
    expect(exportJob(db, 'holm-point').log).toMatchObject([{ id: 'r1', wall: 'w1' }])
  })
  expect(said).toHaveBeenCalledTimes(1)
  expect(said.mock.calls[0]![0]).toMatch(/log_no_update, log_no_delete had been removed/)
  said.mockRestore()
})

it('gives walls that no address can name ids of their names, and keeps what their log says of them', () => {
  cpSync(join(FIXTURES, '0011_documents', 'data'), folder, { recursive: true })
  const sqlite = new SQLite(file)
  sqlite.exec('DROP TRIGGER log_no_update')
  sqlite.exec(
    `UPDATE walls SET id = 'Hall/1 ?', document = json_set(document, '$.id', 'Hall/1 ?') WHERE id = 'ticket-hall'`,
  )
  sqlite.exec(`UPDATE log SET wall = 'Hall/1 ?' WHERE wall = 'ticket-hall'`)
  sqlite.close()
  opened((db) => {
    const job = exportJob(db, 'holm-point')
    expect(job.walls.map(({ id, formerId }) => [id, formerId])).toEqual([
      ['ticket-hall-east-wall', 'Hall/1 ?'],
      ['cafe', undefined],
    ])
    const before = readJob(readFileSync(join(FIXTURES, '0011_documents', 'jobs', 'holm-point.json'), 'utf8')).log
    expect([job.log, brokenLink(job.log)]).toEqual([before, undefined])
    expect(readWall(db, 'holm-point', 'ticket-hall-east-wall').job.log).toHaveLength(
      before.filter(({ wall }) => wall === 'ticket-hall').length,
    )
    expect(db.get(sql`SELECT count(*) AS n FROM sqlite_master WHERE type = 'trigger'`)).toEqual({ n: 8 })
  })
})

describe('a database', () => {
  it('has its log guarded again after the log was built anew', () => {
    opened((db) => {
      const job = exampleJob()
      job.log.push({
        id: 'l1',
        at: '2026-11-12T09:00:00.000Z',
        by: 'Isla',
        wall: 'w1',
        kind: 'hole',
        hole: 'h',
        x: 1,
        y: 2,
        result: 'hit',
      })
      importJob(db, job, 'Isla', '2026-11-12T09:00:00.000Z')
    })
    laterVersion(rebuilt('log'))
    opened((db) => {
      for (const change of [sql`UPDATE log SET entry = '{}'`, sql`DELETE FROM log`]) {
        expect(() => db.run(change)).toThrow(
          expect.objectContaining({ cause: expect.objectContaining({ message: 'the log is only ever added to' }) }),
        )
      }
      expect(db.get(sql`SELECT count(*) AS n FROM log`)).toEqual({ n: 1 })
    })
  })

  it('is copied before each change, and the last five copies are kept', () => {
    opened(() => {})
    expect(copies()).toEqual([])
    for (let n = 0; n < 7; n++) {
      laterVersion(`CREATE TABLE later_${n} (a)`)
      opened(() => {})
    }
    expect(copies()).toHaveLength(5)
    const oldest = new SQLite(join(folder, 'backups', copies()[0]!), { readonly: true })
    expect(oldest.prepare('SELECT name FROM sqlite_master WHERE name LIKE \'later%\'').all()).toEqual([
      { name: 'later_0' },
      { name: 'later_1' },
    ])
    oldest.close()
  })

  it('of another program, or what is none, is refused in words and not touched', () => {
    const other = new SQLite(file)
    other.exec('CREATE TABLE recipes (a); INSERT INTO recipes VALUES (1)')
    other.close()
    expect(() => openDatabase(file)).toThrow(/not one of Wide Trellis/)
    const again = new SQLite(file)
    expect(again.prepare('SELECT a FROM recipes').all()).toEqual([{ a: 1 }])
    again.close()
    writeFileSync(file, 'Shopping: screws, plugs, tea. '.repeat(200))
    expect(() => openDatabase(file)).toThrow(/is not a database/)
    expect(readFileSync(file, 'utf8')).toMatch(/^Shopping/)
  })
})
