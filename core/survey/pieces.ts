import { structureKindOf, type Wall } from '../job'
import type { Text } from '../units'

/** What the holes of a wall go into, or keep clear of in block and brick; absent where the whole wall carries. */
export type Piece = 'stud' | 'batten' | 'joint'

/** A wall as it carries says so where battens of its furring carry, and no studs. */
export type CarryingWall = Wall & { battens?: true }

/**
 * What a wall is fixed to, in the trade's word.
 *
 * @param wall as it carries (`carryingWall`)
 */
export function pieceOf({ structure, battens }: CarryingWall): Piece | undefined {
  if (battens) return 'batten'
  const { framed, units } = structureKindOf(structure)
  if (framed) return 'stud'
  return units && 'joint'
}

const inBattens = (text: string) => text
  .replace(/\bstud bay\b/g, 'bay between battens')
  .replace(/\b([sS])tud(s?)\b/g, (_, s: string, plural: string) => `${s === 's' ? 'b' : 'B'}atten${plural}`)

/**
 * A sentence that was written for studs, as it is said where battens carry.
 *
 * @example
 * textToString(sayPiece(words`Stud ${'4'} is unconfirmed.`, 'batten'), 'metric') // 'Batten 4 is unconfirmed.'
 */
export const sayPiece = (text: Text, piece: Piece | undefined): Text =>
  piece === 'batten' ? text.map(part => typeof part === 'string' ? inBattens(part) : part) : text
