import { and, asc, desc, eq, inArray, isNull, sql } from 'drizzle-orm'
import { LOG_KINDS, type SignedHead } from '../../core/log'
import { perDatabase, type Database } from '../database/perDatabase'
import { heads, log, sites } from '../database/schema'
import { signerFor } from '../database/signer'
import { IS_HERE } from './siteRows'

/** Kinds of entries at which something is issued: a sheet prints the head at its own. */
const ISSUING = Object.entries(LOG_KINDS).flatMap(([kind, spec]) => 'issues' in spec && spec.issues ? [kind] : [])

const OF_SITE = eq(log.site, sql.placeholder('site'))
const end = perDatabase(db => db.select({ seq: log.seq, hash: log.hash }).from(log).where(OF_SITE)
  .orderBy(desc(log.seq)).limit(1).prepare())
// Not in the order of the log, in which all of it would be looked through.
const unsigned = perDatabase(db => db.select({ seq: log.seq, hash: log.hash }).from(log)
  .leftJoin(heads, and(eq(heads.site, log.site), eq(heads.seq, log.seq)))
  .where(and(OF_SITE, inArray(log.kind, ISSUING), isNull(heads.seq))).prepare())

/** The heads of a site's log that are at hand, in the order of the log. */
export const headsOf = (db: Database, site: number): SignedHead[] =>
  db.select({ seq: heads.seq, hash: heads.hash, at: heads.at, key: heads.publicKey, sig: heads.sig }).from(heads)
    .where(eq(heads.site, site)).orderBy(asc(heads.seq), asc(heads.key)).all()

/** The heads of a site's log by the database and by what signed them, in the order of the log. */
export function everyHead(db: Database, { key, id }: { key: number, id: string }): SignedHead[] {
  const all = [...headsOf(db, key), ...signerFor(db)?.kept(id) ?? []]
  return [...new Map(all.map(head => [head.sig, head])).values()].sort((a, b) => a.seq - b.seq)
}

const hashAt = perDatabase(db => db.select({ hash: log.hash }).from(log)
  .where(and(OF_SITE, eq(log.seq, sql.placeholder('seq')))).prepare())

/** Sites whose log does not go on from a head that was signed of it, each with that head. */
export const sitesCut = (db: Database): { site: string, head: SignedHead }[] =>
  db.select({ key: sites.key, id: sites.id }).from(sites).where(IS_HERE).all().flatMap((site) => {
    const lost = everyHead(db, site).find(({ seq, hash }) => hashAt(db).get({ site: site.key, seq })?.hash !== hash)
    return lost ? [{ site: site.id, head: lost }] : []
  })

/** Keeps heads as they were signed, here or elsewhere. */
export function keepHeads(db: Database, site: number, signed: SignedHead[]): void {
  for (const { key: publicKey, ...head } of signed) db.insert(heads).values({ site, publicKey, ...head }).run()
}

/**
 * Signs the head of a site's log where it has grown enough, and at each entry that issued a mark-out. It is done after
 * the entries were committed: a head is of what is there for good.
 */
export function signHeads(db: Database, site: { key: number, id: string }, at = new Date().toISOString()): void {
  const signer = signerFor(db)
  const last = signer && end(db).get({ site: site.key })
  if (!last) return
  const wanted = unsigned(db).all({ site: site.key }).sort((a, b) => a.seq - b.seq)
  if (!wanted.some(({ seq }) => seq === last.seq) && signer.isDue(site.id, last.seq, at)) wanted.push(last)
  if (wanted.length > 0) keepHeads(db, site.key, wanted.map(each => signer.sign(site.id, each, at)))
}

/** Signs what is due of every log, as one that did not grow for a day. */
export function signAllHeads(db: Database, at = new Date().toISOString()): void {
  const every = db.select({ key: sites.key, id: sites.id }).from(sites).where(IS_HERE).all()
  for (const site of every) signHeads(db, site, at)
}
