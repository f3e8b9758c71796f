import { lazy, type InferType } from 'yup'
import type { Fault } from '../job/fault'
import { findingKind } from '../findings'
import { isMoment } from '../job/moment'
import { must, oneOf } from '../job/fields'
import { isEntryKind, LOG_KINDS, type EntryKind } from './kinds'
import { entry as entryOf } from './kinds/kind'

/** One kind of entry. */
export type EntryOf<Kind extends EntryKind> = Extract<
  { [Each in EntryKind]: InferType<typeof LOG_KINDS[Each]['schema']> & { kind: Each } }[EntryKind], { kind: Kind }
>
/** What was done, when and by whom; entries are only ever added. */
export type LogEntry = EntryOf<EntryKind>

const unknownKind = entryOf('', { kind: must(oneOf(Object.keys(LOG_KINDS))) })

/** An entry of any kind, by the rules of its own. */
export const logEntrySchema = lazy((entry: { kind?: unknown } | null | undefined) =>
  (isEntryKind(entry?.kind) ? LOG_KINDS[entry.kind].schema : unknownKind) as never)

/** What an entry says beside the fields of its kind can have so many characters. */
const BESIDE = 2_000

/**
 * What is wrong with an entry that is new, beside what its schema says: a clock that shows no time that there is, and
 * much under keys that nobody knows. One that is in a chain stands as it is, as nothing in a log is changed.
 *
 * @param entry one that its schema has let through
 */
export function newEntryFaults(entry: LogEntry, root: string): Fault[] {
  if (entry.hash !== undefined) return []
  const { fields } = LOG_KINDS[entry.kind].schema
  const beside = Object.entries(entry).filter(([key]) => !Object.hasOwn(fields, key))
  const size = JSON.stringify(Object.fromEntries(beside)).length
  const never = entry.kind === 'override' && findingKind(entry.code)?.never
  return [
    ...never ? [{ path: `${root}.code`, message: `“${entry.code}” is never overridden: clear the stop` }] : [],
    ...isMoment(entry.at) ? [] : [{ path: `${root}.at`, message: `is not a valid date and time: “${entry.at}”. Set the clock of the device` }],
    ...size > BESIDE ? [{ path: `${root}.${beside[0]![0].slice(0, 60)}`, message: `is not a field of an entry; such fields can have ${BESIDE} characters in total, not ${size}` }] : [],
  ]
}
