import type { Point } from '../geometry'
import { changeBetween, type Change } from '../hang'
import type { Mark, MarkKind } from '../mark'
import type { FrozenPlan } from './frozen'

/** A mark that is elsewhere in the later of two plans: from where to where, along the wall and up it, mm. */
export interface MovedMark { id: string, kind: MarkKind, label: string, from: Point, to: Point, by: number }

/** A mark that only one of two plans has. */
export interface OnlyMark { id: string, kind: MarkKind, label: string, at: Point }

/**
 * What differs between two revisions: marks that moved, are new or gone, others whose bit or depth is another, and
 * plates and holes.
 */
export interface Difference {
  moved: MovedMark[]
  added: OnlyMark[]
  gone: OnlyMark[]
  redrilled: { id: string, label: string }[]
  change: Change
}

/** What moved by less than a tape shows has not moved, mm. */
const SAME = 0.5

/** Where a mark is on the wall; a line has no place along itself. */
const placeOf = (mark: Mark, { marking: { datum } }: Pick<FrozenPlan, 'marking'>): Point => ({
  x: (mark.running ?? 0) + datum.x,
  y: mark.height ?? 0,
})

/** What differs between an earlier plan of a wall and a later one, mark by mark. */
export function differenceOf(
  before: Pick<FrozenPlan, 'marking' | 'arrays'>,
  after: Pick<FrozenPlan, 'marking' | 'arrays'>,
): Difference {
  const old = new Map(before.marking.marks.map(mark => [mark.id, mark]))
  const now = new Map(after.marking.marks.map(mark => [mark.id, mark]))
  const only = (mark: Mark, plan: Pick<FrozenPlan, 'marking'>): OnlyMark => ({
    id: mark.id,
    kind: mark.kind,
    label: mark.label,
    at: placeOf(mark, plan),
  })
  return {
    moved: [...now.values()].flatMap((mark) => {
      const was = old.get(mark.id)
      if (!was) return []
      const [from, to] = [placeOf(was, before), placeOf(mark, after)]
      const by = Math.hypot(to.x - from.x, to.y - from.y)
      return by > SAME ? [{ id: mark.id, kind: mark.kind, label: mark.label, from, to, by }] : []
    }),
    added: [...now.values()].filter(({ id }) => !old.has(id)).map(mark => only(mark, after)),
    gone: [...old.values()].filter(({ id }) => !now.has(id)).map(mark => only(mark, before)),
    redrilled: [...now.values()].flatMap((mark) => {
      const was = old.get(mark.id)
      return was && (was.bit !== mark.bit || Math.abs((was.depth ?? 0) - (mark.depth ?? 0)) > SAME)
        ? [{ id: mark.id, label: mark.label }]
        : []
    }),
    change: changeBetween(before.arrays, after.arrays),
  }
}

/** Whether two plans would be marked out and drilled alike. */
export const isAlike = ({ moved, added, gone, redrilled }: Difference): boolean =>
  moved.length + added.length + gone.length + redrilled.length === 0
