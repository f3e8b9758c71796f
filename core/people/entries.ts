import { isEntryKind, LOG_KINDS, type LogEntry } from '../log'
import type { Action } from './rights'

/**
 * What a person must be allowed to do for an entry of the log to be theirs to make: its kind says so.
 *
 * @param corrected the entry that a correction names: it needs the right that that one needed
 */
export function actionOfEntry({ kind }: Pick<LogEntry, 'kind'>, corrected?: Pick<LogEntry, 'kind'>): Action {
  // What is of no kind is refused by its schema, whoever sends it.
  if (!isEntryKind(kind)) return 'wall.record'
  const { right } = LOG_KINDS[kind]
  if (right !== 'as-corrected') return right
  const corrects = corrected && isEntryKind(corrected.kind) ? LOG_KINDS[corrected.kind].right : undefined
  return corrects === undefined || corrects === 'as-corrected' ? 'wall.record' : corrects
}
