import type { SessionSummary } from '../../core/api/people'
import { randomUUID } from 'node:crypto'
import { and, desc, eq, sql } from 'drizzle-orm'
import { heldNow, type Grant } from '../../core/people'
import { perDatabase } from '../database/perDatabase'
import { notFound } from '../utils/apiError'
import { note } from './audit'
import type { Firm } from './firms'
import type { Accounts } from './form'
import { grantsOf, type Person } from './people'
import { firms, people, sessions } from './schema'
import type { By } from '../utils/by'

/** By which way a person came in. */
export type Way = typeof sessions.$inferSelect['way']

/** A person who is signed in: of which firm, as what. */
export interface SignedIn { session: string, beganAt: string, person: Person, firm: Firm, held: Grant }

/** Why a session lets nobody in. */
export type Ended = { ended: 'unknown' | 'ended' | 'idle' }

const DAY = 86_400_000
/** It is written down at most so often that a device was seen, ms. */
const NOTED = 5 * 60_000

const sessionOfId = perDatabase((accounts: Accounts) =>
  accounts
    .select({ session: sessions, person: people, firm: firms })
    .from(sessions)
    .innerJoin(people, eq(people.key, sessions.person))
    .innerJoin(firms, eq(firms.key, people.firm))
    .where(eq(sessions.id, sql.placeholder('id')))
    .prepare(),
)

/** Begins a session of a person on a device. */
export function beginSession(accounts: Accounts, person: Person, way: Way, device: string, at: string): string {
  const id = randomUUID()
  accounts
    .insert(sessions)
    .values({ id, person: person.key, device: device.slice(0, 300), way, beganAt: at, seenAt: at })
    .run()
  note(accounts, person.firm, { at, by: person.name, kind: 'signed-in', subject: device.slice(0, 300), detail: way })
  return id
}

/**
 * Who a session lets in, as what; notes that its device was seen. One that was not seen for as many days as the firm
 * allows has ended by itself.
 *
 * @param unseenFor for how long it was not seen, ms
 */
export function openSession(
  accounts: Accounts, id: string, now: Date, unseenFor = (seenAt: string) => now.getTime() - Date.parse(seenAt),
): SignedIn | Ended {
  const found = sessionOfId(accounts).get({ id })
  if (!found) return { ended: 'unknown' }
  const { session, person, firm } = found
  const held = person.removedAt === null ? heldNow(grantsOf(accounts, person.key)) : undefined
  if (session.endedAt !== null || !held) return { ended: 'ended' }
  if (unseenFor(session.seenAt) > firm.deviceDays * DAY) return { ended: 'idle' }
  if (Math.abs(now.getTime() - Date.parse(session.seenAt)) > NOTED)
    accounts.update(sessions).set({ seenAt: now.toISOString() }).where(eq(sessions.key, session.key)).run()
  return { session: id, beganAt: session.beganAt, person, firm, held }
}

/** The newest moment at which a device of this server was seen, ms since 1970; 0 where none was. */
export function newestMoment(accounts: Accounts): number {
  const newest = accounts.select({ at: sql<string | null>`max(${sessions.seenAt})` }).from(sessions).get()
  return newest?.at ? Date.parse(newest.at) : 0
}

const ofWhom = (firm: number, person: number | undefined) => [
  eq(people.firm, firm),
  ...(person === undefined ? [] : [eq(people.key, person)]),
]

/** Sessions of a firm, or of one of its people: those that hold first, the newest first. */
export const listSessions = (accounts: Accounts, firm: number, person?: number): SessionSummary[] =>
  accounts
    .select({
      id: sessions.id,
      person: people.id,
      name: people.name,
      device: sessions.device,
      way: sessions.way,
      beganAt: sessions.beganAt,
      seenAt: sessions.seenAt,
      endedAt: sessions.endedAt,
      endedBy: sessions.endedBy,
    })
    .from(sessions)
    .innerJoin(people, eq(people.key, sessions.person))
    .where(and(...ofWhom(firm, person)))
    .orderBy(sql`${sessions.endedAt} IS NOT NULL`, desc(sessions.key))
    .limit(500)
    .all()

/** Ends a session: its device is let in no more. @throws 404 for one of no such person or firm */
export function endSession(
  accounts: Accounts,
  firm: number,
  id: string,
  { by, at }: By,
  person?: number,
): void {
  const found = accounts
    .select({ name: people.name, device: sessions.device, endedAt: sessions.endedAt })
    .from(sessions)
    .innerJoin(people, eq(people.key, sessions.person))
    .where(and(eq(sessions.id, id), ...ofWhom(firm, person)))
    .get()
  if (!found) throw notFound('this session')
  if (found.endedAt !== null) return
  accounts.update(sessions).set({ endedAt: at, endedBy: by }).where(eq(sessions.id, id)).run()
  note(accounts, firm, {
    at,
    by,
    kind: by === found.name ? 'signed-out' : 'session-ended',
    subject: found.name,
    detail: found.device,
  })
}
