import { and, asc, desc, eq, gt, lte, sql } from 'drizzle-orm'
import type { LogEntry } from '../../core/job'
import { chained, EMPTY_CHAIN, type ChainEnd } from '../../core/log'
import { perDatabase, type Database } from '../database/perDatabase'
import { log } from '../database/schema'

const OF_SITE = eq(log.site, sql.placeholder('site'))
const everyEntry = perDatabase(db =>
  db.select({ entry: log.entry }).from(log).where(OF_SITE).orderBy(asc(log.seq)).prepare(),
)
const entriesOfWall = perDatabase(db =>
  db
    .select({ entry: log.entry })
    .from(log)
    .where(and(OF_SITE, eq(log.wall, sql.placeholder('wall'))))
    .orderBy(asc(log.seq))
    .prepare(),
)
/** An entry of a site by its id. */
export const entryOfId = perDatabase(db =>
  db
    .select({ entry: log.entry, wall: log.wall })
    .from(log)
    .where(and(OF_SITE, eq(log.id, sql.placeholder('id'))))
    .prepare(),
)
const lastEntry = perDatabase(db =>
  db.select({ seq: log.seq, hash: log.hash }).from(log).where(OF_SITE).orderBy(desc(log.seq)).limit(1).prepare(),
)
const insertEntry = perDatabase(db =>
  db
    .insert(log)
    .values({
      site: sql.placeholder('site'),
      seq: sql.placeholder('seq'),
      hash: sql.placeholder('hash'),
      id: sql.placeholder('id'),
      wall: sql.placeholder('wall'),
      kind: sql.placeholder('kind'),
      entry: sql.placeholder('entry'),
    })
    .prepare(),
)

/** How many entries the log of a site has. */
export const lengthOfLog = (db: Database, site: number): number => lastEntry(db).get({ site })?.seq ?? 0

/** The log of a site in the order of arrival. */
export const logOfSite = (db: Database, site: number): LogEntry[] =>
  everyEntry(db)
    .all({ site })
    .map(({ entry }) => JSON.parse(entry) as LogEntry)

const holesOfWall = perDatabase(db => db.select({ hole: sql<string>`json_extract(${log.entry}, '$.hole')` }).from(log)
  .where(and(OF_SITE, eq(log.kind, 'hole'), eq(log.wall, sql.placeholder('wall')))).prepare())

/** The ids of the holes of which a wall’s log speaks. */
export const holesNamed = (db: Database, site: number, wall: string): string[] =>
  holesOfWall(db).all({ site, wall }).map(({ hole }) => hole)

/** So many entries of a wall are one segment of its log, which does not change any more once it is full. */
export const SEGMENT = 500

// Rows came in the order of the log, and the index of a wall has them in this order.
const afterOfWall = and(OF_SITE, eq(log.wall, sql.placeholder('wall')), gt(log.key, sql.placeholder('after')))
const segmentOfWall = perDatabase((db) => {
  const entries = db.select({ entry: log.entry }).from(log).where(afterOfWall)
    .orderBy(asc(log.key)).limit(SEGMENT).as('entries')
  // One row of a text: many rows take four times as long to hand over.
  return db.select({ text: sql<string | null>`group_concat(${entries.entry}, ',')` }).from(entries).prepare()
})
/** The key of the last entry of a full segment, and that of one that follows it. */
const endOfSegment = perDatabase(db => db.select({ key: log.key }).from(log).where(afterOfWall)
  .orderBy(asc(log.key)).limit(2).offset(SEGMENT - 1).prepare())

/** The key of the last entry of each full segment, by site and wall: known once, it does not change. */
const endsOfSegments = perDatabase(() => new Map<string, number[]>())

function segmentEnds(db: Database, site: number, wall: string): number[] {
  const [known, name] = [endsOfSegments(db), `${site}/${wall}`]
  const ends = known.get(name) ?? []
  known.set(name, ends)
  for (;;) {
    const [end, next] = endOfSegment(db).all({ site, wall, after: ends.at(-1) ?? 0 })
    if (!end || !next) return ends
    ends.push(end.key)
  }
}

/** How many segments of a wall’s log are full and lie before the one that is being written. */
export const segmentsBefore = (db: Database, site: number, wall: string): number => segmentEnds(db, site, wall).length

/** A segment of a wall’s log by its number, from 0, as a JSON list. */
export const segmentText = (db: Database, site: number, wall: string, segment: number): string =>
  `[${segmentOfWall(db).get({ site, wall, after: segmentEnds(db, site, wall)[segment - 1] ?? 0 })!.text ?? ''}]`

const lastOfWall = perDatabase(db => db.select({ key: log.key }).from(log)
  .where(and(OF_SITE, eq(log.wall, sql.placeholder('wall')))).orderBy(desc(log.key)).limit(1).prepare())

/** By what the last entry of a wall’s log is told from those before it; 0 where there is none. */
export const lastKeyOfWall = (db: Database, site: number, wall: string): number =>
  lastOfWall(db).get({ site, wall })?.key ?? 0

/** The entries of one wall in the order of arrival. */
export const entriesOf = (db: Database, site: number, wall: string): LogEntry[] =>
  entriesOfWall(db).all({ site, wall }).map(({ entry }) => JSON.parse(entry) as LogEntry)

const pageOfSite = perDatabase(db => db.select({ entry: log.entry, after: log.seq }).from(log)
  .where(and(OF_SITE, gt(log.seq, sql.placeholder('after')), lte(log.seq, sql.placeholder('end'))))
  .orderBy(asc(log.seq)).limit(SEGMENT).prepare())
const pageOfWall = perDatabase(db => db.select({ entry: log.entry, after: log.key }).from(log)
  .where(and(OF_SITE, eq(log.wall, sql.placeholder('wall')), gt(log.key, sql.placeholder('after')),
    lte(log.seq, sql.placeholder('end'))))
  .orderBy(asc(log.key)).limit(SEGMENT).prepare())

/**
 * A log as JSON, by pages, so that others are answered between them: of a site, or of one wall of it.
 *
 * @param end the last entry that is in it: what is added after the call is not, whenever its pages are taken
 */
export function* logPages(db: Database, site: number, wall?: string, end = lengthOfLog(db, site)): Generator<string> {
  const pageAfter = (after: number) => wall === undefined
    ? pageOfSite(db).all({ site, after, end })
    : pageOfWall(db).all({ site, wall, after, end })
  yield '['
  for (let page = pageAfter(0), comma = ''; page.length > 0; page = pageAfter(page.at(-1)!.after), comma = ',')
    yield comma + page.map(({ entry }) => entry).join(',')
  yield ']'
}

/** The device of an entry that names none, as one of a script or of a file that was written by hand. */
const NO_DEVICE = 'none'

/**
 * Adds entries at the end of a site's log; those that have a place in its chain already keep it.
 *
 * @param ids by which id a wall goes now, for those that entries name by an earlier one
 */
export function appendEntries(
  db: Database,
  site: number,
  entries: LogEntry[],
  receivedAt: string,
  ids = new Map<string, string>(),
): LogEntry[] {
  let end: ChainEnd = lastEntry(db).get({ site }) ?? EMPTY_CHAIN
  return entries.map((given) => {
    const entry = given.hash === undefined ? chained({ device: NO_DEVICE, ...given }, end, receivedAt) : given
    end = { seq: entry.seq!, hash: entry.hash! }
    insertEntry(db).run({
      site,
      ...end,
      id: entry.id,
      wall: ids.get(entry.wall) ?? entry.wall,
      kind: entry.kind,
      entry: JSON.stringify(entry),
    })
    return entry
  })
}
