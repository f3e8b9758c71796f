import type { Point } from '../geometry'
import type { ArrayPlan, Hole } from '../mount'

/** What a plan has elsewhere than another had it: plates and marks that moved, and holes that are new or not planned any more. */
export interface Change {
  plates: { screen: string, dx: number, dy: number }[]
  marks: { hole: string, from: Point, to: Point }[]
  added: string[]
  dropped: string[]
  /** By how much all marks moved together, mm. */
  sum: number
}

/** What moved by less than a tape shows has not moved, mm. */
const SAME = 0.5

const holesIn = (arrays: ArrayPlan[]): Map<string, Hole> => new Map(arrays.flatMap(({ positions }) => positions.flatMap(({ holes = [] }) => holes.map(hole => [hole.id, hole] as const))))
const platesIn = (arrays: ArrayPlan[]) => new Map(arrays.flatMap(({ positions }) => positions.flatMap(({ id, plate }) => plate ? [[id, plate.centre] as const] : [])))

/**
 * What changed between two plans of a wall. A hole that is made and one that is not are compared by where they are:
 * what was made has not moved.
 */
export function changeBetween(before: ArrayPlan[], after: ArrayPlan[]): Change {
  const [old, now] = [holesIn(before), holesIn(after)]
  const [stood, stand] = [platesIn(before), platesIn(after)]
  const marks = [...now].flatMap(([id, to]) => {
    const from = old.get(id)
    return from && Math.hypot(to.x - from.x, to.y - from.y) > SAME ? [{ hole: id, from: { x: from.x, y: from.y }, to: { x: to.x, y: to.y } }] : []
  })
  return {
    marks,
    plates: [...stand].flatMap(([screen, to]) => {
      const from = stood.get(screen)
      return from && Math.hypot(to.x - from.x, to.y - from.y) > SAME ? [{ screen, dx: to.x - from.x, dy: to.y - from.y }] : []
    }),
    added: [...now.keys()].filter(id => !old.has(id)), dropped: [...old.keys()].filter(id => !now.has(id)),
    sum: marks.reduce((sum, { from, to }) => sum + Math.hypot(to.x - from.x, to.y - from.y), 0),
  }
}
