import { and, eq } from 'drizzle-orm'
import { logEntryFaults, same, type LogEntry } from '../../core/job'
import { partToRow, rowToPart, type Part } from '../database/records'
import { log, walls } from '../database/schema'
import type { Database } from '../database/perDatabase'
import { notFound, refusal, unfit } from '../utils/refusal'
import { siteRow } from './sites'

/**
 * Adds an entry to a wall's log. Sending the same entry again is answered as if it were new, so
 * that a lost answer can be retried.
 *
 * @throws 422 with every fault, 409 where another entry has this id
 */
export function addLogEntry(db: Database, siteId: string, wallId: string, entry: unknown): LogEntry {
  return db.transaction(() => {
    const site = siteRow(db, siteId)
    if (!db.select({ key: walls.key }).from(walls).where(and(eq(walls.parent, site.key), eq(walls.id, wallId))).get()) {
      throw notFound('wall of this name on this site')
    }
    const faults = logEntryFaults(entry)
    if (faults.length > 0) throw unfit(faults)
    const given = entry as LogEntry
    if (given.wall !== wallId) throw unfit([{ path: '$.wall', message: `must be “${wallId}”, as in the address` }])
    const kept = db.select().from(log).where(and(eq(log.parent, site.key), eq(log.id, given.id))).get()
    if (kept) {
      if (same(rowToPart(log, kept), given)) return given
      throw refusal(409, 'entry-exists', 'The log has another entry of this id; nothing in it is ever changed.')
    }
    db.insert(log).values({ ...partToRow(log, structuredClone(given) as unknown as Part), parent: site.key } as typeof log.$inferInsert).run()
    return given
  })
}
