import { findingKind } from '../../core/findings'
import { actionOfEntry, settlesAnothers, type Action } from '../../core/people'
import { isHoleOf } from '../../core/hang'
import { isSimulatedEntry, LIMITS, logEntryFaults, same, type Fault, type LogEntry, type Wall } from '../../core/job'
import { asBuilt, type EntryKind, type EntryOf } from '../../core/log'
import { nextRevision, type Frozen } from '../../core/revision'
import type { Author } from '../accounts/authorship'
import type { Database } from '../database/perDatabase'
import { apiError, validationError, type ApiErrorBody } from '../utils/apiError'
import { appendEntries, entriesOf, entryOfId, lengthOfLog } from './logRows'
import { fieldsOf } from '../utils/fields'
import { asideOf, keepAside, resolveAside } from './setAside'
import { isHandedOver } from './closed'
import { siteDocument, siteRow, type SiteRow } from './siteRows'
import { revisionText } from './revisions'
import { wallDocument } from './wallRows'

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
function issueFaults(db: Database, site: number, { id }: Wall, { revision, frozen }: EntryOf<'issued'>): Fault[] {
  const text = frozen === undefined ? undefined : revisionText(db, site, id, frozen)
  if (text === undefined)
    return [
      {
        path: '$.frozen',
        message: 'is not on this server: send the frozen revision before the entry that issues it',
      },
    ]
  const log = entriesOf(db, site, id)
  const next = nextRevision(log, id)
  const other = log.find((entry): entry is EntryOf<'issued'> => entry.kind === 'issued' && entry.revision === revision)
  if (other)
    return [
      {
        path: '$.revision',
        message: `${revision} was issued by ${other.by} in the meantime: compare the two, then issue yours as ${next} or discard it`,
      },
    ]
  if (revision !== next)
    return [{ path: '$.revision', message: `must be ${next}, the next revision of this wall, not “${revision}”` }]
  const { overrides } = asBuilt(log, { id })
  return (JSON.parse(text) as Frozen).built.overrides.flatMap(({ code, subject, by, reason }) =>
    overrides.some(each => each.code === code && each.subject === subject && each.by === by && each.reason === reason)
      ? []
      : [{ path: '$.frozen', message: `depends on an override of ${code} by ${by} that is not in this wall's log` }],
  )
}

/** What is wrong with an entry for a wall's log. */
function faultsOf(db: Database, site: number, wall: Wall, entry: unknown): Fault[] {
  // Its place in the chain is the server's to give, so what it says of that is not asked.
  const faults = logEntryFaults(typeof entry === 'object' && entry !== null ? told(entry as LogEntry) : entry)
  if (faults.length > 0) return faults
  const given = entry as LogEntry
  if (given.wall !== wall.id) return [{ path: '$.wall', message: `must be “${wall.id}”, as in the address` }]
  const isKnown = (hole: string) =>
    isHoleOf(wall, hole) || entriesOf(db, site, wall.id).some(each => each.kind === 'hole' && each.hole === hole)
  if (given.kind === 'hole' && !isKnown(given.hole))
    return [
      {
        path: '$.hole',
        message: `“${given.hole}” is not a hole in this wall's plan. Its array may have been deleted; restore it, or record the drilled hole as a remark`,
      },
    ]
  if (given.kind === 'override' && findingKind(given.code)?.never) {
    return [{ path: '$.code', message: `“${given.code}” is never overridden: clear the stop` }]
  }
  if (given.kind === 'issued')
    return entryOfId(db).get({ site, id: given.id }) ? [] : issueFaults(db, site, wall, given)
  const named = Object.entries(given).filter(([key]) => key === 'corrects' || key === 'again') as [string, string][]
  return named.flatMap(([key, id]) => entryOfId(db).get({ site, id })?.wall === wall.id
    ? []
    : [{ path: `$.${key}`, message: `“${id}” is not an earlier entry of this wall` }])
}

/**
 * Adds an entry to a wall's log. Sending the same entry again is answered as if it were new, so
 * that a lost answer can be retried.
 *
 * @throws 422 with every fault, 409 where another entry has this id
 */
function addSigned(db: Database, site: number, wall: Wall, entry: unknown, receivedAt: string): LogEntry {
  const faults = faultsOf(db, site, wall, entry)
  if (faults.length > 0) throw validationError(faults)
  const given = told(entry as LogEntry)
  const known = entryOfId(db).get({ site, id: given.id })
  if (!known && lengthOfLog(db, site) >= LIMITS.log)
    throw validationError([
      { path: '$', message: `exceeds the maximum number of log entries for a site, ${LIMITS.log}` },
    ])
  if (!known) return appendEntries(db, site, [given as LogEntry], receivedAt)[0]!
  const kept = JSON.parse(known.entry) as LogEntry
  if (same(said(kept), said(given as LogEntry))) return kept
  throw apiError(409, 'entry-exists', 'The log already has another entry with this id; log entries are never changed.')
}

/** An entry that waits until a planner has decided about it. */
export interface Waiting { setAside: string }

/** Where an entry is made, what it wants to be allowed, and whether it settles a disputed hole against another. */
interface Wanted { action: Action, place: { site: string, closed: boolean }, settles: boolean }

const SETTLES = 'it takes the place of another person’s result of a disputed hole'

function wantedOf(db: Database, site: SiteRow, wall: Wall, entry: unknown): Wanted {
  const { kind, corrects, by, person } = fieldsOf(entry)
  const row = typeof corrects === 'string' ? entryOfId(db).get({ site: site.key, id: corrects }) : undefined
  const corrected = row && JSON.parse(row.entry) as LogEntry
  const settles
    = corrected?.kind === 'hole'
      && settlesAnothers(entriesOf(db, site.key, wall.id), wall, corrected.id, {
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
function addEntry(
  db: Database,
  site: SiteRow,
  wall: Wall,
  author: Author,
  given: unknown,
  receivedAt: string,
): LogEntry | Waiting {
  if (isSimulatedEntry(given) && !siteDocument(db, site).site.demo) {
    throw validationError([
      { path: '$.simulated', message: 'marks readings of a simulated gauge, which no real wall has' },
    ])
  }
  const { action, place, settles } = wantedOf(db, site, wall, given)
  const authored = author(given, action, place, receivedAt)
  if (authored.verdict === 'refused') throw apiError(403, 'not-yours', `This entry ${authored.reason}.`)
  // What a crew recorded is not refused; but it is a lead or planner who settles a dispute.
  const mayEnd = !settles || author(given, 'wall.issue', place, receivedAt).verdict === 'taken'
  if (authored.verdict === 'taken' && mayEnd) return addSigned(db, site.key, wall, authored.entry, receivedAt)
  const reason = authored.verdict === 'taken' ? SETTLES : authored.reason
  const faults = faultsOf(db, site.key, wall, authored.entry)
  if (faults.length > 0) throw validationError(faults)
  keepAside(db, site.key, wall.id, authored.entry as LogEntry, reason, receivedAt)
  return { setAside: reason }
}

/** What became of one entry of many: as it is kept, that it waits for a planner, or why it was not taken. */
export type EntryResult
  = { id: unknown, entry: LogEntry } | ({ id: unknown } & Waiting) | { id: unknown, error: ApiErrorBody['error'] }

/** Adds many entries to a wall's log, in their order; one that is refused keeps none of the others out. */
export function addEntries(
  db: Database,
  siteId: string,
  wall: string,
  author: Author,
  entries: unknown[],
  receivedAt: string,
): EntryResult[] {
  return db.transaction(
    () => {
      const site = siteRow(db, siteId)
      const document = wallDocument(db, site.key, wall)
      return entries.map((entry): EntryResult => {
        const id = (entry as { id?: unknown } | null)?.id
        try {
          const added = addEntry(db, site, document, author, entry, receivedAt)
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
  )
}

/** Adds one entry to a wall's log. @throws as `addEntry` */
export function addLogEntry(
  db: Database,
  siteId: string,
  wall: string,
  author: Author,
  entry: unknown,
  receivedAt: string,
): LogEntry | Waiting {
  return db.transaction(
    () => {
      const site = siteRow(db, siteId)
      return addEntry(db, site, wallDocument(db, site.key, wall), author, entry, receivedAt)
    },
    { behavior: 'immediate' },
  )
}

/**
 * Takes an entry that was set aside into the log, as a planner decided. @throws 404 where none waits, and as
 * `addSigned`
 */
export function acceptAside(db: Database, key: number, by: string, at: string): LogEntry {
  return db.transaction(() => {
    const { site, wall, entry } = asideOf(db, key)
    const added = addSigned(db, site, wallDocument(db, site, wall), { ...entry, acceptedBy: by }, at)
    resolveAside(db, key, true, by, at)
    return added
  }, { behavior: 'immediate' })
}
