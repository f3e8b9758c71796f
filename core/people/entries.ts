import { asBuilt, isEntryKind, LOG_KINDS, type LogEntry, type WallName } from '../log'
import type { Action } from './rights'

/**
 * What a person must be allowed to do for an entry of the log to be theirs to make: its kind says so.
 *
 * @param corrected the entry that a correction names: it needs the right that that one needed
 * @param settles whether that one is another person's result of a disputed hole: a lead or planner decides
 */
export function actionOfEntry(
  { kind }: Pick<LogEntry, 'kind'>,
  corrected?: Pick<LogEntry, 'kind'>,
  settles = false,
): Action {
  // What is of no kind is refused by its schema, whoever sends it.
  if (!isEntryKind(kind)) return 'wall.record'
  const { right } = LOG_KINDS[kind]
  if (right !== 'as-corrected') return right
  if (settles) return 'wall.issue'
  const corrects = corrected && isEntryKind(corrected.kind) ? LOG_KINDS[corrected.kind].right : undefined
  return corrects === undefined || corrects === 'as-corrected' ? 'wall.record' : corrects
}

/**
 * Whether a correction would settle a disputed hole against the result of another person than the one who makes it.
 *
 * @param log of the wall
 */
export function settlesAnothers(
  log: LogEntry[],
  wall: WallName,
  corrects: string,
  by: Pick<LogEntry, 'by' | 'person'>,
): boolean {
  const results = asBuilt(log, wall).disputed.flatMap(({ results }) => results)
  if (!results.some(({ entry }) => entry === corrects)) return false
  const author = log.find(({ id }) => id === corrects)
  return by.person !== undefined && author?.person !== undefined ? by.person !== author.person : by.by !== author?.by
}
