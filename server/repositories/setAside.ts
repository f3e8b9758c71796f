import type { Aside } from '../../core/api/walls'
import { and, asc, eq, isNull } from 'drizzle-orm'
import type { LogEntry } from '../../core/job'
import type { Database } from '../database/perDatabase'
import { setAside, sites } from '../database/schema'
import { notFound } from '../utils/apiError'

/** Keeps an entry aside, with why; the same one twice is one. */
export const keepAside = (
  db: Database,
  { site, wall }: { site: number, wall: string },
  entry: LogEntry,
  reason: string,
  receivedAt: string,
): void =>
  void db
    .insert(setAside)
    .values({ site, wall, id: entry.id, entry: JSON.stringify(entry), reason, receivedAt })
    .onConflictDoNothing()
    .run()

/** Every entry of a firm that waits, in the order in which they came. */
export const listAside = (db: Database): Aside[] =>
  db
    .select({
      key: setAside.key,
      site: sites.id,
      siteName: sites.name,
      wall: setAside.wall,
      entry: setAside.entry,
      reason: setAside.reason,
      receivedAt: setAside.receivedAt,
    })
    .from(setAside)
    .innerJoin(sites, eq(sites.key, setAside.site))
    .where(isNull(setAside.resolvedAt))
    .orderBy(asc(setAside.key))
    .all()
    .map(({ entry, ...rest }) => ({ ...rest, entry: JSON.parse(entry) as LogEntry }))

/** An entry that waits. @throws 404 where none of this number does */
export function asideOf(db: Database, key: number): { site: number, wall: string, entry: LogEntry } {
  const row = db.select().from(setAside).where(and(eq(setAside.key, key), isNull(setAside.resolvedAt))).get()
  if (!row) throw notFound('an entry waiting under this number')
  return { site: row.site, wall: row.wall, entry: JSON.parse(row.entry) as LogEntry }
}

/** Notes what was decided about an entry that waited. */
export const resolveAside = (db: Database, key: number, accepted: boolean, by: string, at: string): void =>
  void db.update(setAside).set({ resolvedAt: at, resolvedBy: by, accepted }).where(eq(setAside.key, key)).run()
