import { isOneHole, RESULT_NAMES, type AsBuilt, type EntryOf, type MadeHole } from '../log'
import { turned, type Turn } from '../mark/level'
import type { Hole } from '../mount'

/** Who records a result: what stands of his own in a disputed hole is his to correct. */
export interface Recorder { by: string }

/** What is recorded of a hole, beside who did and when. */
export type SaidOfHole = Pick<
  EntryOf<'hole'>,
  'kind' | 'hole' | 'x' | 'y' | 'result' | 'corrects' | 'again' | 'note' | 'photo'
>

/**
 * The earlier result of a hole that a new one of this person corrects: the one that stands, or his own where several
 * people contradict each other; none where he only joins them.
 */
export function resultBefore(
  hole: Pick<Hole, 'id' | 'x' | 'y'>,
  { by }: Recorder,
  { holes, disputed }: Pick<AsBuilt, 'holes' | 'disputed'>,
): MadeHole | undefined {
  const contradicting = disputed.find(each => each.hole === hole.id)?.results
  if (contradicting) return contradicting.findLast(result => result.by === by)
  return holes.findLast(made => made.hole === hole.id && isOneHole(made, hole))
}

/**
 * What is recorded of a planned hole by what the drill met there: one entry, which names the result that it corrects.
 * What hit lies where the plan has it; anything else tells of the wall, and lies where the drill went in, which is
 * turned with the level line where that follows a line of the building.
 *
 * @param before the result that stood there, where it is the same hole in the wall
 */
export function resultSaid(
  { id, x, y }: Pick<Hole, 'id' | 'x' | 'y'>,
  result: MadeHole['result'],
  turn: Turn | undefined,
  before: MadeHole | undefined,
  said: { note?: string, photo?: string } = {},
): SaidOfHole {
  const note = said.note?.trim()
  return {
    kind: 'hole',
    hole: id,
    ...(result === 'hit' ? { x, y } : turned({ x, y }, turn)),
    result,
    ...(before && { corrects: before.entry }),
    ...(note && { note }),
    ...(said.photo && { photo: said.photo }),
  }
}

/** Whether a hole can be filled and drilled again in its place: its stud is there, and its thread is gone. */
export const canDrillAgain = ({ result }: Pick<MadeHole, 'result'>): boolean => result === 'stripped'

/** What is recorded where a hole was filled and drilled again in its place, and took its fastener. */
export const drilledAgain = ({ hole, x, y, entry }: MadeHole): SaidOfHole =>
  ({ kind: 'hole', hole, x, y, result: 'hit', again: entry })

/** What a person is asked before his result takes the place of another. */
export const replaces = (before: Pick<MadeHole, 'result' | 'by'>, result: MadeHole['result']): string =>
  `Replace “${RESULT_NAMES[before.result]}” by ${before.by} with “${RESULT_NAMES[result]}”? The log keeps both.`
