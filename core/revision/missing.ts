import type { Job, Wall } from '../job'
import { ofKind, standing } from '../log'

/** A revision that the log names and the file lacks. */
export interface MissingRevision { wall: string, revision: string, entry: string, message: string }

/**
 * The revisions of a wall that its log issued and that the file lacks, or has only under another id. An entry that
 * names no frozen revision, in a file without any, was written by hand: it lacks nothing.
 */
export function missingRevisions(
  log: Job['log'],
  wall: Pick<Wall, 'id' | 'formerId' | 'name' | 'revisions'>,
): MissingRevision[] {
  const stored = new Set((wall.revisions ?? []).map(({ id }) => id))
  return ofKind(standing(log, wall), 'issued').flatMap(({ id: entry, revision, frozen }) => {
    if (frozen === undefined ? stored.size === 0 : stored.has(frozen)) return []
    const lacks
      = frozen === undefined ? 'the entry names no frozen revision' : `the file has none with the id ${frozen}`
    const message = `Revision ${revision} of ${wall.name} (entry ${entry}) is missing: ${lacks}`
    return [{ wall: wall.id, revision, entry, message }]
  })
}

/** The photos that entries of a log name, each with the entry. */
export const photosNamed = (log: Job['log']): { entry: string, photo: string }[] =>
  log.flatMap(entry => 'photo' in entry && entry.photo !== undefined ? [{ entry: entry.id, photo: entry.photo }] : [])
