import { findingKind } from '../../core/findings'
import { actionOfEntry, settlesAnothers, type Action } from '../../core/people'
import { isHoleOf } from '../../core/hang'
import {
  isSimulatedEntry, LIMITS, logEntryFaults, same, type Fault, type LogEntry, type ScreenArray, type Wall,
} from '../../core/job'
import { asBuilt, type EntryKind, type EntryOf } from '../../core/log'
import { builtAstray, nextRevision, type Frozen } from '../../core/revision'
import type { Author } from '../accounts/authorship'
import type { Database } from '../database/perDatabase'
import { apiError, validationError, type ApiErrorBody } from '../utils/apiError'
import { appendEntries, entriesOf, entryOfId, holesNamed, lengthOfLog } from './logRows'
import { fieldsOf } from '../utils/fields'
import { signHeads } from './heads'
import { asideOf, keepAside, resolveAside } from './setAside'
import { isHandedOver } from './closed'
import { siteDocument, siteOfKey, siteRow, type SiteRow } from './siteRows'
import { astrayRevision, revisionText } from './revisions'
import { wallDocument } from './wallRows'

/** A wall to whose log entries are added in one go: what is there already is read once, where it is wanted. */
interface Batch {
  db: Database
  site: SiteRow
  wall: Wall
  log: () => LogEntry[]
  /** The ids of holes of which its log speaks. */
  holes: () => Set<string>
  /** Notes an entry that was added. */
  added: (entry: LogEntry) => LogEntry
}

function batchOf(db: Database, site: SiteRow, id: string): Batch {
  const wall = wallDocument(db, site.key, id)
  let read: LogEntry[] | undefined
  let holes: Set<string> | undefined
  return {
    db, site, wall,
    log: () => read ??= entriesOf(db, site.key, wall.id),
    holes: () => holes ??= new Set(holesNamed(db, site.key, wall.id)),
    added(entry) {
      if (entry.kind === 'hole') holes?.add(entry.hole)
      if (entry.wall === wall.id) read?.push(entry)
      return entry
    },
  }
}

/** An entry without its fields of the chain. */
const told = ({ seq: _s, receivedAt: _r, prev: _p, hash: _h, ...entry }: LogEntry) => entry

/** An entry without the fields that the server sets: names change, and another person may have sent it. */
const said = (entry: LogEntry) => {
  const {
    by: _b,
    person: _p,
    sentBy: _s,
    acceptedBy: _a,
    device: _d,
    late: _l,
    key: _k,
    sig: _g,
    ...rest
  } = told(entry)
  return rest
}

/**
 * Why a revision cannot be issued: its frozen content is missing, its letter is taken, or it depends on an override
 * that does not exist.
 */
function issueFaults({ db, site, wall: { id }, log }: Batch, { revision, frozen }: EntryOf<'issued'>): Fault[] {
  const text = frozen === undefined ? undefined : revisionText(db, site.key, id, frozen)
  if (text === undefined)
    return [
      {
        path: '$.frozen',
        message: 'is not on this server: send the frozen revision before the entry that issues it',
      },
    ]
  const next = nextRevision(log(), id)
  const isSame = (entry: LogEntry): entry is EntryOf<'issued'> => entry.kind === 'issued' && entry.revision === revision
  const other = log().find(isSame)
  if (other)
    return [
      {
        path: '$.revision',
        message: `${revision} was issued by ${other.by} in the meantime: compare the two, then issue yours `
          + `as ${next} or discard it`,
      },
    ]
  if (revision !== next)
    return [{ path: '$.revision', message: `must be ${next}, the next revision of this wall, not “${revision}”` }]
  const { overrides } = asBuilt(log(), { id })
  return (JSON.parse(text) as Frozen).built.overrides.flatMap(({ code, subject, by, reason }) =>
    overrides.some(each => each.code === code && each.subject === subject && each.by === by && each.reason === reason)
      ? []
      : [{ path: '$.frozen', message: `depends on an override of ${code} by ${by} that is not in this wall's log` }],
  )
}

/** An array has so many seams at most, each read at two ends, and so many screens. */
function seamsOf({ rows, columns }: Pick<ScreenArray, 'rows' | 'columns'>): { ends: number, screens: number } {
  return { ends: 2 * (rows * (columns - 1) + (rows - 1) * columns), screens: rows * columns }
}

/** What is wrong with readings of seams that are more than the array has: found before each of them is looked at. */
function manyReadings(wall: Wall, entry: unknown): Fault[] {
  const { kind, array: id, gaps, steps, rolls } = fieldsOf(entry)
  const array = kind === 'seams' ? wall.arrays.find(each => each.id === id) : undefined
  if (!array) return []
  const { ends, screens } = seamsOf(array)
  const most = { gaps: [gaps, ends], steps: [steps, ends], rolls: [rolls, screens] } as const
  return Object.entries(most).flatMap(([name, [list, limit]]) => Array.isArray(list) && list.length > limit
    ? [{ path: `$.${name}`, message: `must have at most ${limit} readings, as this array has no more` }]
    : [])
}

/** What is wrong with an entry for a wall's log. */
function faultsOf(batch: Batch, entry: unknown): Fault[] {
  const { db, wall } = batch
  const site = batch.site.key
  const many = manyReadings(wall, entry)
  if (many.length > 0) return many
  // Its place in the chain is the server's to give, so what it says of that is not asked.
  const faults = logEntryFaults(typeof entry === 'object' && entry !== null ? told(entry as LogEntry) : entry)
  if (faults.length > 0) return faults
  const given = entry as LogEntry
  if (given.wall !== wall.id) return [{ path: '$.wall', message: `must be “${wall.id}”, as in the address` }]
  const isKnown = (hole: string) => isHoleOf(wall, hole) || batch.holes().has(hole)
  if (given.kind === 'hole' && !isKnown(given.hole))
    return [
      {
        path: '$.hole',
        message: `“${given.hole}” is not a hole in this wall's plan. Its array may have been deleted; restore it, or `
          + `record the drilled hole as a remark`,
      },
    ]
  if (given.kind === 'override' && findingKind(given.code)?.never) {
    return [{ path: '$.code', message: `“${given.code}” is never overridden: clear the stop` }]
  }
  if (given.kind === 'issued')
    return entryOfId(db).get({ site, id: given.id }) ? [] : issueFaults(batch, given)
  const named = Object.entries(given).filter(([key]) => key === 'corrects' || key === 'again') as [string, string][]
  return named.flatMap(([key, id]) => entryOfId(db).get({ site, id })?.wall === wall.id
    ? []
    : [{ path: `$.${key}`, message: `“${id}” is not an earlier entry of this wall` }])
}

/** Kinds for which the end of a log is kept free: what leads and planners decide is recorded in a full one too. */
const isReserved = (kind: EntryKind): boolean => kind === 'correction' || actionOfEntry({ kind }) === 'wall.issue'

/**
 * Adds an entry to a wall's log. Sending the same entry again is answered as if it were new, so
 * that a lost answer can be retried.
 *
 * @throws 422 with every fault, 409 where another entry has this id
 */
function addSigned(batch: Batch, entry: unknown, receivedAt: string): LogEntry {
  const { db } = batch
  const site = batch.site.key
  const faults = faultsOf(batch, entry)
  if (faults.length > 0) throw validationError(faults)
  const given = told(entry as LogEntry)
  const known = entryOfId(db).get({ site, id: given.id })
  const most = LIMITS.log - (isReserved(given.kind) ? 0 : LIMITS.reserve)
  if (!known && lengthOfLog(db, site) >= most)
    throw validationError([{ path: '$', message: `exceeds the maximum number of log entries for a site, ${most}` }])
  if (!known) return batch.added(appendEntries(db, site, [given as LogEntry], receivedAt)[0]!)
  const kept = JSON.parse(known.entry) as LogEntry
  if (same(said(kept), said(given as LogEntry))) return kept
  throw apiError(409, 'entry-exists', 'The log already has another entry with this id; log entries are never changed.')
}

/** An entry that waits until a planner has decided about it. */
export interface Waiting { setAside: string }

/** Why an entry that issues a mark-out waits: what was frozen does not follow from the wall as it was saved. */
function notFollowing({ db, site, wall, log }: Batch, entry: unknown): string | undefined {
  const { id, kind, frozen } = fieldsOf(entry)
  // What is in the log already is answered as it was.
  if (kind !== 'issued' || typeof frozen !== 'string' || entryOfId(db).get({ site: site.key, id: String(id) }))
    return undefined
  const text = revisionText(db, site.key, wall.id, frozen)
  const why = astrayRevision(db, site.key, wall.id, frozen)
    ?? (text && builtAstray(JSON.parse(text) as Frozen, asBuilt(log(), { id: wall.id })))
  return why && `the mark-out was not calculated from the wall as it is saved: ${why}`
}

/** Where an entry is made, what it wants to be allowed, and whether it settles a disputed hole against another. */
interface Wanted { action: Action, place: { site: string, closed: boolean }, settles: boolean }

const SETTLES = 'it takes the place of another person’s result of a disputed hole'

function wantedOf({ db, site, wall, log }: Batch, entry: unknown): Wanted {
  const { kind, corrects, by, person } = fieldsOf(entry)
  const row = typeof corrects === 'string' ? entryOfId(db).get({ site: site.key, id: corrects }) : undefined
  const corrected = row && JSON.parse(row.entry) as LogEntry
  const settles
    = corrected?.kind === 'hole'
      && settlesAnothers(log(), wall, corrected.id, {
        by: String(by),
        ...(typeof person === 'string' && { person }),
      })
  return {
    action: actionOfEntry({ kind: kind as EntryKind }, corrected, settles),
    place: { site: site.id, closed: isHandedOver(db, site.key, wall.id) },
    settles,
  }
}

/**
 * Adds an entry to a wall's log by its author, or sets it aside. @throws as `addSigned`, and 403 where he might never
 * make it
 */
function addEntry(batch: Batch, author: Author, given: unknown, receivedAt: string): LogEntry | Waiting {
  const { db, site, wall } = batch
  if (isSimulatedEntry(given) && !siteDocument(db, site).site.demo) {
    throw validationError([
      { path: '$.simulated', message: 'marks readings of a simulated gauge, which no real wall has' },
    ])
  }
  const { action, place, settles } = wantedOf(batch, given)
  const authored = author(given, action, place, receivedAt)
  if (authored.verdict === 'refused') throw apiError(403, 'not-yours', `This entry ${authored.reason}.`)
  // What a crew recorded is not refused; but it is a lead or planner who settles a dispute.
  const mayEnd = !settles || author(given, 'wall.issue', place, receivedAt).verdict === 'taken'
  const apart = authored.verdict === 'taken' ? notFollowing(batch, given) : undefined
  if (authored.verdict === 'taken' && mayEnd && apart === undefined) return addSigned(batch, authored.entry, receivedAt)
  const reason = authored.verdict === 'taken' ? apart ?? SETTLES : authored.reason
  const faults = faultsOf(batch, authored.entry)
  if (faults.length > 0) throw validationError(faults)
  keepAside(db, { site: site.key, wall: wall.id }, authored.entry as LogEntry, reason, receivedAt)
  return { setAside: reason }
}

/** What became of one entry of many: as it is kept, that it waits for a planner, or why it was not taken. */
export type EntryResult
  = { id: unknown, entry: LogEntry } | ({ id: unknown } & Waiting) | { id: unknown, error: ApiErrorBody['error'] }

/** Does what adds to a site's log, and signs the log's head after that, where it is due. */
function grown<Result>(db: Database, site: SiteRow, add: () => Result): Result {
  const result = add()
  signHeads(db, site)
  return result
}

/** Adds many entries to a wall's log, in their order; one that is refused keeps none of the others out. */
export function addEntries(
  db: Database,
  { siteId, wall }: { siteId: string, wall: string },
  author: Author,
  entries: unknown[],
  receivedAt: string,
): EntryResult[] {
  return grown(db, siteRow(db, siteId), () => db.transaction(
    () => {
      const batch = batchOf(db, siteRow(db, siteId), wall)
      return entries.map((entry): EntryResult => {
        const id = (entry as { id?: unknown } | null)?.id
        try {
          const added = addEntry(batch, author, entry, receivedAt)
          return 'setAside' in added ? { id, ...added } : { id, entry: added }
        }
        catch (error) {
          const { data } = error as { data?: ApiErrorBody }
          if (!data?.error) throw error
          return { id, error: data.error }
        }
      })
    },
    { behavior: 'immediate' },
  ))
}

/** Adds one entry to a wall's log. @throws as `addEntry` */
export function addLogEntry(
  db: Database,
  { siteId, wall }: { siteId: string, wall: string },
  author: Author,
  entry: unknown,
  receivedAt: string,
): LogEntry | Waiting {
  return grown(db, siteRow(db, siteId), () => db.transaction(
    () => addEntry(batchOf(db, siteRow(db, siteId), wall), author, entry, receivedAt),
    { behavior: 'immediate' },
  ))
}

/**
 * Takes an entry that was set aside into the log, as a planner decided. @throws 404 where none waits, and as
 * `addSigned`
 */
export function acceptAside(db: Database, key: number, by: string, at: string): LogEntry {
  const { site } = asideOf(db, key)
  return grown(db, siteOfKey(db).get({ key: site })!, () => db.transaction(() => {
    const { site, wall, entry } = asideOf(db, key)
    const added = addSigned(batchOf(db, siteOfKey(db).get({ key: site })!, wall), { ...entry, acceptedBy: by }, at)
    resolveAside(db, key, true, by, at)
    return added
  }, { behavior: 'immediate' }))
}
