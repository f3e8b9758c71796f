import { existsSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import SQLite from 'better-sqlite3'
import { drizzle } from 'drizzle-orm/better-sqlite3'
import { holdFolder } from './folder'
import { bringUpToDate } from './migrate'
import { DatabaseRefused, refusal } from './refusal'
import * as schema from './schema'
import type { Database } from './perDatabase'

interface Open { db: Database, close: () => void }
let open: Open | undefined

/** The folder of the database and files: `WT_DATA`, or `.data/` in the folder the server was started in. */
export function dataFolder(): string {
  return resolve(process.env.WT_DATA || '.data')
}

/**
 * Opens a database file and brings its tables up to date; see `bringUpToDate`. What is acknowledged is on the disk:
 * each transaction is synced before it is answered.
 *
 * @throws DatabaseRefused in words, whatever is wrong with it
 */
export function openDatabase(file: string): Open {
  let sqlite: SQLite.Database | undefined
  try {
    sqlite = new SQLite(file, { timeout: 5_000 })
    sqlite.pragma('synchronous = FULL')
    sqlite.pragma('foreign_keys = ON')
    bringUpToDate(sqlite, file, resolve(process.env.WT_MIGRATIONS || 'server/database/migrations'))
    // Written into the file: not before it is known to be ours.
    sqlite.pragma('journal_mode = WAL')
  }
  catch (error) {
    sqlite?.close()
    throw refusal(file, error)
  }
  return { db: drizzle(sqlite, { schema }), close: () => sqlite.close() }
}

/**
 * Opens the data folder's database. One that is begun here is marked until it is whole, so that an empty file which a
 * start left that was cut short is told from one that was emptied.
 */
function openFolder(folder: string, begin: (db: Database) => void, alone: boolean): Open {
  const letGo = alone ? holdFolder(folder) : () => {}
  const [file, beginning] = [join(folder, 'wide-trellis.db'), join(folder, 'beginning')]
  try {
    if (!existsSync(file)) writeFileSync(beginning, '')
    else if (statSync(file).size === 0 && !existsSync(beginning)) throw new DatabaseRefused(`${file} is empty, and was not when it was left. Put a copy from backups/ in its place, or take the file away to begin anew.`)
    const { db, close } = openDatabase(file)
    begin(db)
    rmSync(beginning, { force: true })
    return { db, close: () => {
      close()
      letGo()
    } }
  }
  catch (error) {
    letGo()
    throw refusal(file, error)
  }
}

/**
 * Opens the one connection of this server.
 *
 * @param begin puts in what a new database begins with
 * @param alone whether no other process may have the folder; while it is being built upon, one server takes over from another
 * @throws DatabaseRefused in words
 */
export function startDatabase(begin: (db: Database) => void, alone = true): void {
  open = openFolder(dataFolder(), begin, alone)
}

/** The one connection of this server. */
export function database(): Database {
  if (!open) throw new Error('the database is asked for before it is opened')
  return open.db
}

/** Closes the connection, writing what is in the write-ahead log into the file. */
export function closeDatabase(): void {
  open?.close()
  open = undefined
}
