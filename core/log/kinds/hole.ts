import type { InferType } from 'yup'
import type { holeSchema } from '../schemas/hole'
import type { EntryKindSpec } from './kind'

/** Entries about a hole at places nearer to each other than this are about one hole in the wall, mm. */
const ONE_PLACE = 1

/** Whether two places are one hole in the wall. */
export const isAt = (a: { x: number, y: number }, b: { x: number, y: number }): boolean =>
  Math.hypot(a.x - b.x, a.y - b.y) <= ONE_PLACE

type HoleEntry = InferType<typeof holeSchema>

/** A hole as it was made: which of the plan's it was, where it is, and what the drill met there. */
export type MadeHole = Pick<HoleEntry, 'hole' | 'x' | 'y' | 'result' | 'by' | 'at' | 'note'> & { entry: string }

/** Holes by their id in the plan: one each time it was drilled at another place. */
export interface Holes { holes: Map<string, MadeHole[]> }

/** What the drill met at a planned hole. */
export const hole: EntryKindSpec<typeof holeSchema, Holes> = {
  title: 'drilling result',
  right: 'wall.record',
  fold({ holes }, { id, hole, x, y, result, by, at, note }) {
    const made: MadeHole = { hole, x, y, result, by, at, ...note !== undefined && { note }, entry: id }
    // Drilled again beside its first place, it is two holes in the wall.
    holes.set(hole, [...(holes.get(hole) ?? []).filter(other => !isAt(other, made)), made])
  },
}
