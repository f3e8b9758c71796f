import { lazy, type InferType } from 'yup'
import type { Fault } from '../job/fault'
import { isMoment } from '../job/moment'
import { must, oneOf } from '../job/fields'
import { isEntryKind, type EntryKind } from './kinds'
import { ENTRY_SCHEMAS } from './schemas'
import { entry as entryOf } from './schemas/entry'

/** One kind of entry. */
export type EntryOf<Kind extends EntryKind> = Extract<
  { [Each in EntryKind]: InferType<typeof ENTRY_SCHEMAS[Each]> & { kind: Each } }[EntryKind], { kind: Kind }
>
/** What was done, when and by whom; entries are only ever added. */
export type LogEntry = EntryOf<EntryKind>

const unknownKind = entryOf('', { kind: must(oneOf(Object.keys(ENTRY_SCHEMAS))) })

/** An entry of any kind, by the rules of its own. */
export const logEntrySchema = lazy((entry: { kind?: unknown } | null | undefined) =>
  (isEntryKind(entry?.kind) ? ENTRY_SCHEMAS[entry.kind] : unknownKind) as never)

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
  const { fields } = ENTRY_SCHEMAS[entry.kind]
  const beside = Object.entries(entry).filter(([key]) => !Object.hasOwn(fields, key))
  const size = JSON.stringify(Object.fromEntries(beside)).length
  return [
    ...(isMoment(entry.at)
      ? []
      : [{ path: `${root}.at`, message: `is not a valid date and time: “${entry.at}”. Set the clock of the device` }]),
    ...(size > BESIDE
      ? [
          {
            path: `${root}.${beside[0]![0].slice(0, 60)}`,
            message: `is not a field of an entry; such fields can have ${BESIDE} characters in total, not ${size}`,
          },
        ]
      : []),
  ]
}
