import type { EntryKind, LogEntry } from '../log'
import type { Action } from './rights'

/** Entries that decide what is built. */
const ISSUING: readonly EntryKind[] = ['issued', 'override', 'override-ended']
/** Entries of a visit to a wall that was handed over. */
const VISITING: readonly EntryKind[] = ['visit', 'replaced', 'serial', 'seams', 'turned', 'locked', 'photo', 'tested', 'point', 'point-done', 'remark']

/**
 * What a person must be allowed to do for an entry of the log to be theirs to make.
 *
 * @param corrected the entry that a correction names: it wants the right that that one wanted
 */
export function actionOfEntry({ kind }: Pick<LogEntry, 'kind'>, corrected?: Pick<LogEntry, 'kind'>): Action {
  if (kind === 'correction') return corrected && corrected.kind !== 'correction' ? actionOfEntry(corrected) : 'wall.record'
  return ISSUING.includes(kind) ? 'wall.issue' : VISITING.includes(kind) ? 'wall.visit' : 'wall.record'
}
