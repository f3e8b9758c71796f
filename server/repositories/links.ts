import type { LinkSummary } from '../../core/api/walls'
import { createHash, randomBytes } from 'node:crypto'
import { and, asc, eq, isNull } from 'drizzle-orm'
import type { Database } from '../database/perDatabase'
import { links, sites } from '../database/schema'
import { apiError, notFound, validationError } from '../utils/apiError'
import { wasIssued } from './closed'
import { siteRow } from './siteRows'
import { wallRow } from './wallRows'

const DAY = 86_400_000
const MOST_DAYS = 90
const digest = (secret: string) => createHash('sha256').update(secret).digest('hex')

/** The links of a wall in the order in which they were made. */
export function listLinks(db: Database, siteId: string, wallId: string): LinkSummary[] {
  const site = siteRow(db, siteId)
  wallRow(db, site.key, wallId)
  return db
    .select({
      id: links.id,
      client: links.client,
      madeAt: links.madeAt,
      madeBy: links.madeBy,
      expiresAt: links.expiresAt,
      endedAt: links.endedAt,
    })
    .from(links)
    .where(and(eq(links.site, site.key), eq(links.wall, wallId)))
    .orderBy(asc(links.key))
    .all()
}

/** @throws 409 where nothing of a wall was ever issued: there is nothing to hand over */
function checkIssued(db: Database, site: number, wall: string): void {
  if (!wasIssued(db, site, wall))
    throw apiError(409, 'not-issued', 'No mark-out of this wall has been issued: there is nothing to hand over yet.')
}

/**
 * Makes a link for a client. Its secret is shown once and kept nowhere.
 *
 * @throws 422 where nobody is named, or the days are none; 409 where nothing was issued
 */
export function makeLink(
  db: Database,
  siteId: string,
  wallId: string,
  { client, days, by }: { client?: unknown, days?: unknown, by: string },
  now: Date,
): LinkSummary & { secret: string } {
  const site = siteRow(db, siteId)
  wallRow(db, site.key, wallId)
  const faults = [
    ...(typeof client !== 'string' || client.trim() === '' || client.length > 200
      ? [{ path: '$.client', message: 'must name the person it is for' }]
      : []),
    ...(!Number.isInteger(days) || Number(days) < 1 || Number(days) > MOST_DAYS
      ? [{ path: '$.days', message: `must be a whole number of days from 1 to ${MOST_DAYS}` }]
      : []),
  ]
  if (faults.length > 0) throw validationError(faults)
  checkIssued(db, site.key, wallId)
  const secret = randomBytes(24).toString('base64url')
  const link: LinkSummary = {
    id: randomBytes(9).toString('base64url'),
    client: String(client).trim(),
    madeAt: now.toISOString(),
    madeBy: by,
    expiresAt: new Date(now.getTime() + Number(days) * DAY).toISOString(),
    endedAt: null,
  }
  db.insert(links)
    .values({ ...link, site: site.key, wall: wallId, secret: digest(secret) })
    .run()
  return { ...link, secret }
}

/** Takes a link back: from now on it opens nothing. */
export function endLink(db: Database, siteId: string, wallId: string, id: string, now: Date): LinkSummary[] {
  const site = siteRow(db, siteId)
  const { changes } = db
    .update(links)
    .set({ endedAt: now.toISOString() })
    .where(and(eq(links.site, site.key), eq(links.wall, wallId), eq(links.id, id)))
    .run()
  if (changes === 0) throw notFound('this link of the wall')
  return listLinks(db, siteId, wallId)
}

/** A client's link that is open, and of which wall it is. */
export interface OpenLink extends LinkSummary { site: string, wall: string }

/** Every client's link of a firm that is open. */
export const openLinks = (db: Database, now: Date): OpenLink[] =>
  db.select({ site: sites.id, link: links }).from(links).innerJoin(sites, eq(sites.key, links.site))
    .where(isNull(links.endedAt)).orderBy(asc(links.key)).all()
    .filter(({ link }) => Date.parse(link.expiresAt) > now.getTime())
    .map(({ site, link: { key: _k, site: _s, secret: _, ...link } }) => ({ ...link, site }))

/** What becomes of the open links of a person who loses the right to make them: they end, or another has them. */
export type LinksOf = { end: true } | { takenOverBy: string }

/** Ends the open links that a person made, or has another take them over. */
export function leaveLinks(db: Database, madeBy: string, how: LinksOf, now: Date): void {
  const change = 'end' in how ? { endedAt: now.toISOString() } : { madeBy: how.takenOverBy }
  db.update(links).set(change).where(and(eq(links.madeBy, madeBy), isNull(links.endedAt))).run()
}

/** The firm that a link names, and the secret proper; a link of before there were several firms names none. */
export function firmOfSecret(secret: string): { firm?: string, secret: string } {
  const [firm, rest] = secret.split('.', 2)
  return rest === undefined ? { secret } : { firm: firm!, secret: rest }
}

/** What a link opens. */
export interface Opened { site: string, wall: string, link: LinkSummary }

/**
 * The wall that a secret opens.
 *
 * @throws 404 where there is no such link; 410 where it has ended or was taken back
 */
export function openLink(db: Database, secret: string, now: Date): Opened {
  const found = db
    .select({ site: sites.id, link: links })
    .from(links)
    .innerJoin(sites, eq(sites.key, links.site))
    .where(eq(links.secret, digest(secret)))
    .get()
  if (!found) throw notFound('this link. Ask the sender for a new one')
  const { site, link: { wall, id, client, madeAt, madeBy, expiresAt, endedAt } } = found
  if (endedAt !== null) throw apiError(410, 'link-ended', 'This link was revoked. Ask the sender for a new one.')
  if (Date.parse(expiresAt) <= now.getTime())
    throw apiError(410, 'link-ended', `This link expired on ${expiresAt.slice(0, 10)}. Ask the sender for a new one.`)
  checkIssued(db, found.link.site, wall)
  return { site, wall, link: { id, client, madeAt, madeBy, expiresAt, endedAt } }
}
