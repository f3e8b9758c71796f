import type { BetterSQLite3Database } from 'drizzle-orm/better-sqlite3'
import type * as schema from './schema'

export type Database = BetterSQLite3Database<typeof schema>

/**
 * Something made once for each open database and kept as long as it is open: a prepared statement,
 * which costs many times more to make than to run, or what was read and cannot have changed.
 */
export function perDatabase<Thing, Db extends object = Database>(make: (db: Db) => Thing): (db: Db) => Thing {
  const made = new WeakMap<Db, Thing>()
  return (db) => {
    const known = made.get(db)
    if (known !== undefined) return known
    const thing = make(db)
    made.set(db, thing)
    return thing
  }
}
