import { createHash, randomBytes } from 'node:crypto'
import { and, asc, eq } from 'drizzle-orm'
import type { Database } from '../database/perDatabase'
import { calendars } from '../database/schema'
import { notFound } from '../utils/apiError'

export type CalendarKind = 'crew' | 'person'
/** A calendar that a person subscribed to, without its secret. */
export interface CalendarSummary { kind: CalendarKind, of: string, madeAt: string, madeBy: string }

const digest = (secret: string) => createHash('sha256').update(secret).digest('hex')

export const listCalendars = (db: Database): CalendarSummary[] =>
  db
    .select({ kind: calendars.kind, of: calendars.of, madeAt: calendars.madeAt, madeBy: calendars.madeBy })
    .from(calendars)
    .orderBy(asc(calendars.key))
    .all()

/** Makes the secret of a calendar anew: the one before it opens nothing any more. It is shown once and kept nowhere. */
export function makeCalendar(
  db: Database,
  kind: CalendarKind,
  of: string,
  by: string,
  at: string,
): CalendarSummary & { secret: string } {
  const secret = randomBytes(24).toString('base64url')
  const row = { kind, of, secret: digest(secret), madeAt: at, madeBy: by }
  db.insert(calendars)
    .values(row)
    .onConflictDoUpdate({ target: [calendars.kind, calendars.of], set: row })
    .run()
  return { kind, of, madeAt: at, madeBy: by, secret }
}

/** Ends a calendar: anyone who subscribed to it hears nothing any more. */
export function endCalendar(db: Database, kind: CalendarKind, of: string): CalendarSummary[] {
  db.delete(calendars).where(and(eq(calendars.kind, kind), eq(calendars.of, of))).run()
  return listCalendars(db)
}

/** What a secret opens. @throws 404 */
export function openCalendar(db: Database, secret: string): Pick<CalendarSummary, 'kind' | 'of'> {
  const found = db
    .select({ kind: calendars.kind, of: calendars.of })
    .from(calendars)
    .where(eq(calendars.secret, digest(secret)))
    .get()
  if (!found) throw notFound('this calendar. Its link was replaced or revoked: ask for the new link')
  return found
}
