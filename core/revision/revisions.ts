import type { Wall } from '../job'
import {
  authorNames,
  headCode,
  ofKind,
  standing,
  type AuthorNames,
  type EntryOf,
  type LogEntry,
  type WallName,
} from '../log'
import type { Frozen } from './frozen'
import { frozenOf } from './stored'

/** A revision that was issued and not withdrawn, with what was frozen then where that is at hand. */
export interface Revision extends Pick<EntryOf<'issued'>, 'revision' | 'at' | 'note'>, AuthorNames {
  entry: string
  id?: string
  frozen?: Frozen
  /** The code of the log up to its entry, once a server has it. */
  head?: string
}

/** The revisions of a wall in the order in which they were issued. */
export function revisionsOf(log: LogEntry[], wall: WallName & Pick<Wall, 'revisions'>): Revision[] {
  return ofKind(standing(log, wall), 'issued').map(
    ({ id: entry, revision, at, note, frozen: id, seq, hash, ...author }) => {
      const head = headCode({ seq, hash })
      const stored = wall.revisions?.find(each => each.id === id)
      return {
        entry,
        revision,
        ...authorNames(author),
        at,
        ...(note !== undefined && { note }),
        ...(id !== undefined && { id }),
        ...(head !== undefined && { head }),
        ...(stored && { frozen: frozenOf(stored) }),
      }
    },
  )
}
