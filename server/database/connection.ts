import { mkdirSync } from 'node:fs'
import { join, resolve } from 'node:path'
import SQLite from 'better-sqlite3'
import { drizzle } from 'drizzle-orm/better-sqlite3'
import { bringUpToDate, DatabaseRefused } from './migrate'
import * as schema from './schema'
import type { Database } from './perDatabase'

let open: { db: Database, close: () => void } | undefined

/** The folder of the database and files: `WT_DATA`, or `.data/` in the folder the server was started in. */
export function dataFolder(): string {
  return resolve(process.env.WT_DATA || '.data')
}

/** Opens a file that is a database. @throws DatabaseRefused where it is none, or damaged */
function openFile(file: string): SQLite.Database {
  const sqlite = new SQLite(file)
  try {
    sqlite.pragma('journal_mode = WAL')
    sqlite.pragma('synchronous = NORMAL')
    sqlite.pragma('foreign_keys = ON')
    sqlite.pragma('busy_timeout = 5000')
    return sqlite
  }
  catch (error) {
    sqlite.close()
    const { code, message } = error as { code?: string, message: string }
    throw code === 'SQLITE_NOTADB' || code === 'SQLITE_CORRUPT'
      ? new DatabaseRefused(`${file} is no database, or a damaged one: ${message}. Nothing in it was touched. Copies that were made before it was brought up to date are in backups/ beside it.`)
      : error
  }
}

/** Opens a database file and brings its tables up to date; see `bringUpToDate`. */
export function openDatabase(file: string): { db: Database, close: () => void } {
  const sqlite = openFile(file)
  try {
    bringUpToDate(sqlite, file, resolve(process.env.WT_MIGRATIONS || 'server/database/migrations'))
  }
  catch (error) {
    sqlite.close()
    throw error
  }
  return { db: drizzle(sqlite, { schema }), close: () => sqlite.close() }
}

/** The one connection of this server, opened on first use. */
export function database(): Database {
  if (!open) {
    mkdirSync(dataFolder(), { recursive: true })
    open = openDatabase(join(dataFolder(), 'wide-trellis.db'))
  }
  return open.db
}

/** Closes the connection, writing what is in the write-ahead log into the file. */
export function closeDatabase(): void {
  open?.close()
  open = undefined
}
