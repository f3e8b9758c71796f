import { createHash } from 'node:crypto'
import { mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { basename, dirname, join } from 'node:path'
import type SQLite from 'better-sqlite3'
import { getTableName, is } from 'drizzle-orm'
import { SQLiteTable } from 'drizzle-orm/sqlite-core'
import { DatabaseRefused } from './refusal'

/** What a kind of database is: its tables, one that it has had from the first, its steps so far, and what guards it. */
export interface DatabaseForm {
  schema: Record<string, unknown>
  /** A table by which a file is known to be of this kind. */
  mark: string
  /** Folder of the migrations, as drizzle-kit writes them. */
  migrations: string
  /** By name, put in place anew after every migration, since a rebuilt table loses its own. */
  triggers: Record<string, string>
  /** What a migration has to do beside its statements, by its tag. */
  carriedOver?: Record<string, (sqlite: SQLite.Database) => void>
}

/** One step from an earlier form of the database to the next, as drizzle-kit writes them. */
interface Migration { tag: string, when: number, statements: string[], hash: string }

/** So many copies are kept; the oldest makes room. */
const COPIES = 5
const APPLIED = '__drizzle_migrations'

function readMigrations(folder: string): Migration[] {
  const { entries } = JSON.parse(readFileSync(join(folder, 'meta', '_journal.json'), 'utf8')) as {
    entries: { tag: string, when: number }[]
  }
  return entries.map(({ tag, when }) => {
    const sql = readFileSync(join(folder, `${tag}.sql`), 'utf8')
    return {
      tag,
      when,
      statements: sql.split('--> statement-breakpoint'),
      hash: createHash('sha256').update(sql).digest('hex'),
    }
  })
}

const tablesOf = (sqlite: SQLite.Database) =>
  (sqlite.prepare('SELECT name FROM sqlite_master WHERE type = \'table\'').all() as { name: string }[]).map(
    ({ name }) => name,
  )

/** When the migrations of a database were written that it has been through; none for a new one. */
function appliedTo(sqlite: SQLite.Database, file: string, { mark }: DatabaseForm): number[] {
  const tables = tablesOf(sqlite)
  if (tables.length === 0) return []
  if (!tables.includes(APPLIED) || !tables.includes(mark)) {
    throw new DatabaseRefused(
      `${file} is a database, but not one of Wide Trellis. It was not changed. `
      + 'Choose another data folder with WT_DATA.',
    )
  }
  return (sqlite.prepare(`SELECT created_at AS at FROM ${APPLIED}`).all() as { at: number }[]).map(({ at }) =>
    Number(at),
  )
}

/**
 * The migrations that a database has still to go through. @throws DatabaseRefused where it has been through one that
 * this program does not know
 */
function outstanding(migrations: Migration[], applied: number[], file: string): Migration[] {
  const known = new Set(migrations.map(({ when }) => when))
  if (applied.some(at => !known.has(at))) {
    throw new DatabaseRefused(
      `${file} was written by a newer version of Wide Trellis. It was not changed. Start the newer version, or choose `
      + 'another data folder with WT_DATA.',
    )
  }
  return migrations.filter(({ when }) => !applied.includes(when))
}

/**
 * Copies a database as it is, what is still in its write-ahead log included, into `backups/` beside it, and
 * removes all but the last five copies.
 *
 * @returns the copy's path
 */
function copyFirst(sqlite: SQLite.Database, file: string): string {
  const folder = join(dirname(file), 'backups')
  const prefix = basename(file, '.db')
  mkdirSync(folder, { recursive: true })
  const copy = join(folder, `${prefix}-${new Date().toISOString().replace(/[:.]/g, '-')}.db`)
  try {
    sqlite.prepare('VACUUM INTO ?').run(copy)
  }
  catch (error) {
    rmSync(copy, { force: true })
    throw new DatabaseRefused(
      `${file} must be updated, but cannot be copied first: ${(error as Error).message}. It was not changed.`,
    )
  }
  const copies = readdirSync(folder).filter(name => name.startsWith(`${prefix}-`) && name.endsWith('.db')).sort()
  for (const old of copies.slice(0, -COPIES)) rmSync(join(folder, old))
  return copy
}

/** @throws DatabaseRefused where a table is gone that a database of this form has */
function checkTables(sqlite: SQLite.Database, file: string, { schema }: DatabaseForm): void {
  const there = tablesOf(sqlite)
  const gone = Object.values(schema).flatMap(table =>
    is(table, SQLiteTable) && !there.includes(getTableName(table)) ? [getTableName(table)] : [],
  )
  if (gone.length > 0)
    throw new DatabaseRefused(
      `${file} is incomplete; missing: ${gone.join(', ')}. Keep this file as it is, `
      + 'and use a copy from backups/ instead.',
    )
}

/** Rows that refer to none, and whatever else is wrong in a database, in a sentence; empty where all is well. */
function damage(sqlite: SQLite.Database): string {
  const orphans = sqlite.pragma('foreign_key_check') as { table: string, parent: string }[]
  const [integrity] = sqlite.pragma('integrity_check') as { integrity_check: string }[]
  return [
    ...new Set(orphans.map(({ table, parent }) => `rows of ${table} without their row of ${parent}`)),
    ...integrity!.integrity_check === 'ok' ? [] : [integrity!.integrity_check],
  ].join('; ')
}

const dropTriggers = (sqlite: SQLite.Database, { triggers }: DatabaseForm) => {
  for (const name of Object.keys(triggers)) sqlite.exec(`DROP TRIGGER IF EXISTS ${name}`)
}

function apply(sqlite: SQLite.Database, migrations: Migration[], form: DatabaseForm): void {
  const note = sqlite.prepare(`INSERT INTO ${APPLIED} (hash, created_at) VALUES (?, ?)`)
  dropTriggers(sqlite, form)
  for (const { tag, when, hash, statements } of migrations) {
    for (const statement of statements) sqlite.exec(statement)
    form.carriedOver?.[tag]?.(sqlite)
    note.run(hash, when)
  }
  dropTriggers(sqlite, form)
  for (const [name, does] of Object.entries(form.triggers)) sqlite.exec(triggerText(name, does))
}

export const triggerText = (name: string, does: string) => `CREATE TRIGGER ${name} ${does}`

/** Puts back triggers that were taken away, or made to do nothing: the tables that they keep may have been changed. */
function putBackTriggers(sqlite: SQLite.Database, file: string, { triggers }: DatabaseForm): void {
  const there = new Map(
    (
      sqlite.prepare('SELECT name, sql FROM sqlite_master WHERE type = \'trigger\'').all() as {
        name: string
        sql: string
      }[]
    ).map(({ name, sql }) => [name, sql]),
  )
  const gone = Object.entries(triggers).filter(([name, does]) => there.get(name) !== triggerText(name, does))
  if (gone.length === 0) return
  sqlite.transaction(() => {
    for (const [name, does] of gone) {
      sqlite.exec(`DROP TRIGGER IF EXISTS ${name}`)
      sqlite.exec(triggerText(name, does))
    }
  }).immediate()
  console.warn(
    `${file}: ${gone.map(([name]) => name).join(', ')} had been removed and are back. Another program may have `
    + 'changed what they protect: compare the codes of the logs with those that were written down.',
  )
}

/**
 * Brings a database to the form that this program knows. A copy of the file is made first; foreign keys are off
 * meanwhile, so that a table which is rebuilt does not take the rows that belong to it along; all is checked
 * before it is committed. Whatever fails leaves the database as it was.
 *
 * @param file where it is kept, for the copy and for messages; `:memory:` is not copied
 * @throws DatabaseRefused in words, where it is newer than this program, none of ours, or damaged
 */
export function bringUpToDate(sqlite: SQLite.Database, file: string, form: DatabaseForm): void {
  const migrations = readMigrations(form.migrations)
  const applied = appliedTo(sqlite, file, form)
  if (outstanding(migrations, applied, file).length === 0) {
    checkTables(sqlite, file, form)
    return putBackTriggers(sqlite, file, form)
  }
  const before = applied.length > 0 && file !== ':memory:' ? copyFirst(sqlite, file) : undefined
  sqlite.pragma('foreign_keys = OFF')
  try {
    sqlite.transaction(() => {
      // Asked again under the lock: another server may have done it meanwhile.
      const missing = outstanding(migrations, appliedTo(sqlite, file, form), file)
      sqlite.exec(
        `CREATE TABLE IF NOT EXISTS ${APPLIED} (id INTEGER PRIMARY KEY AUTOINCREMENT, `
        + 'hash TEXT NOT NULL, created_at NUMERIC)',
      )
      apply(sqlite, missing, form)
      const wrong = damage(sqlite)
      if (wrong) throw new Error(wrong)
    }).immediate()
  }
  catch (error) {
    throw new DatabaseRefused(
      `${file} could not be updated and is unchanged${before ? `; a copy is in ${before}` : ''}: `
      + `${(error as Error).message}.`,
    )
  }
  finally {
    sqlite.pragma('foreign_keys = ON')
  }
}
