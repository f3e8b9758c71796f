import { mkdirSync } from 'node:fs'
import { join, resolve } from 'node:path'
import SQLite from 'better-sqlite3'
import { drizzle } from 'drizzle-orm/better-sqlite3'
import { migrate } from 'drizzle-orm/better-sqlite3/migrator'
import * as schema from './schema'
import type { Database } from './perDatabase'

let open: { db: Database, close: () => void } | undefined

/** The folder of the database and files: `WT_DATA`, or `.data/` in the folder the server was started in. */
export function dataFolder(): string {
  return resolve(process.env.WT_DATA || '.data')
}

/**
 * Opens a database file and brings its tables up to date. Drizzle applies all outstanding
 * migrations in one transaction: a failing one leaves the file as it was.
 */
export function openDatabase(file: string): { db: Database, close: () => void } {
  const sqlite = new SQLite(file)
  sqlite.pragma('journal_mode = WAL')
  sqlite.pragma('synchronous = NORMAL')
  sqlite.pragma('foreign_keys = ON')
  sqlite.pragma('busy_timeout = 5000')
  const db = drizzle(sqlite, { schema })
  migrate(db, { migrationsFolder: resolve(process.env.WT_MIGRATIONS || 'server/database/migrations') })
  return { db, close: () => sqlite.close() }
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
