import { existsSync, mkdirSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'
import SQLite from 'better-sqlite3'
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3'
import { firmDatabase } from './form'
import { bringUpToDate, type DatabaseForm } from './migrate'
import { DatabaseRefused, refusal } from './refusal'
import type * as firmSchema from './schema'
import { inProgram } from '../root'

/** An open database, and what closes it, writing what is in its write-ahead log into the file. */
export interface Open<Schema extends Record<string, unknown>> { db: BetterSQLite3Database<Schema>, close: () => void }

/** The folder of the databases and files: `WT_DATA`, or `.data/` in the folder the server was started in. */
export function dataFolder(): string {
  return inProgram(process.env.WT_DATA, '.data')
}

/**
 * Opens a database file of a form and brings its tables up to date; see `bringUpToDate`. What is acknowledged is on
 * the disk: each transaction is synced before it is answered.
 *
 * @throws DatabaseRefused in words, whatever is wrong with it
 */
export function openFile<Schema extends Record<string, unknown>>(
  file: string,
  form: DatabaseForm & { schema: Schema },
): Open<Schema> {
  let sqlite: SQLite.Database | undefined
  try {
    sqlite = new SQLite(file, { timeout: 5_000 })
    sqlite.pragma('synchronous = FULL')
    sqlite.pragma('foreign_keys = ON')
    bringUpToDate(sqlite, file, form)
    // Written into the file: not before it is known to be ours.
    sqlite.pragma('journal_mode = WAL')
  }
  catch (error) {
    sqlite?.close()
    throw refusal(file, error)
  }
  return { db: drizzle(sqlite, { schema: form.schema }), close: () => sqlite.close() }
}

/** Opens the database file of a firm. @throws DatabaseRefused */
export const openDatabase = (file: string): Open<typeof firmSchema> =>
  openFile(file, firmDatabase() as DatabaseForm & { schema: typeof firmSchema })

/**
 * Opens a database of the data folder. One that is begun here is marked until it is whole, so that an empty file which
 * a start left that was cut short is reported from one that was emptied.
 *
 * @param begin puts in what a new database begins with
 * @throws DatabaseRefused in words
 */
export function openWhole<Schema extends Record<string, unknown>>(
  file: string,
  open: (file: string) => Open<Schema>,
  begin: (db: Open<Schema>['db']) => void,
): Open<Schema> {
  const beginning = file.replace(/\.db$/, '.beginning')
  try {
    mkdirSync(dirname(file), { recursive: true })
    if (!existsSync(file)) writeFileSync(beginning, '')
    else if (statSync(file).size === 0 && !existsSync(beginning))
      throw new DatabaseRefused(
        `${file} is empty, but it had content before. Replace it with a copy from backups/, `
        + 'or delete it to start with nothing.',
      )
    const opened = open(file)
    begin(opened.db)
    rmSync(beginning, { force: true })
    return opened
  }
  catch (error) {
    throw refusal(file, error)
  }
}
