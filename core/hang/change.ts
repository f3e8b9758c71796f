import type { Point } from '../geometry'
import type { Issued } from '../log'
import type { ArrayPlan } from '../mount'

/**
 * What a plan has elsewhere than another had it: plates and marks that moved, and holes that are new or not planned any
 * more.
 */
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

/** Where the plates and holes of a wall are, by the ids of their screens and their own. */
interface Places { holes: Map<string, Point>, plates: Map<string, Point> }

const placesOf = (arrays: ArrayPlan[]): Places => ({
  holes: new Map(
    arrays.flatMap(({ positions }) =>
      positions.flatMap(({ holes = [] }) => holes.map(({ id, x, y }) => [id, { x, y }] as const)),
    ),
  ),
  plates: new Map(
    arrays.flatMap(({ positions }) =>
      positions.flatMap(({ id, plate }) => (plate ? [[id, plate.centre] as const] : [])),
    ),
  ),
})

function between(before: Places, after: Places): Change {
  const isElsewhere = (from: Point | undefined, to: Point): from is Point =>
    from !== undefined && Math.hypot(to.x - from.x, to.y - from.y) > SAME
  const marks = [...after.holes].flatMap(([hole, to]) => {
    const from = before.holes.get(hole)
    return isElsewhere(from, to) ? [{ hole, from, to }] : []
  })
  return {
    marks,
    plates: [...after.plates].flatMap(([screen, to]) => {
      const from = before.plates.get(screen)
      return isElsewhere(from, to) ? [{ screen, dx: to.x - from.x, dy: to.y - from.y }] : []
    }),
    added: [...after.holes.keys()].filter(id => !before.holes.has(id)),
    dropped: [...before.holes.keys()].filter(id => !after.holes.has(id)),
    sum: marks.reduce((sum, { from, to }) => sum + Math.hypot(to.x - from.x, to.y - from.y), 0),
  }
}

/** What changed between two plans of a wall. */
export const changeBetween = (before: ArrayPlan[], after: ArrayPlan[]): Change =>
  between(placesOf(before), placesOf(after))

/** What a plan has elsewhere than it was issued; a hole that is made moves no more, wherever it was issued. */
export function changeFrom({ arrays }: Issued, after: ArrayPlan[]): Change {
  const plates = arrays.flatMap(({ plates }) => plates)
  const made = new Set(after.flatMap(({ positions }) =>
    positions.flatMap(({ holes = [] }) => holes.flatMap(({ id, made }) => made === 'hit' ? [id] : []))))
  const { marks, ...change } = between(
    {
      holes: new Map(plates.flatMap(({ holes }) => holes.map(({ id, x, y }) => [id, { x, y }] as const))),
      plates: new Map(plates.map(({ screen, centre }) => [screen, centre])),
    },
    placesOf(after),
  )
  const moving = marks.filter(({ hole }) => !made.has(hole))
  return {
    ...change,
    marks: moving,
    sum: moving.reduce((sum, { from, to }) => sum + Math.hypot(to.x - from.x, to.y - from.y), 0),
  }
}

/**
 * The holes that wait for an answer to what the drill met: those of the plates that it moves or has other holes for,
 * and of the plate that it was met at. All others can be drilled meanwhile.
 *
 * @param issued what the people at the wall work from
 * @param asked the hole whose result is to be answered
 */
export function waitingHoles(
  { plates, marks, dropped, added }: Change,
  issued: ArrayPlan[],
  asked?: string,
): Set<string> {
  const moved = new Set([
    ...marks.map(({ hole }) => hole),
    ...dropped,
    ...added,
    ...(asked === undefined ? [] : [asked]),
  ])
  const elsewhere = new Set(plates.map(({ screen }) => screen))
  return new Set(
    issued
      .flatMap(({ positions }) => positions)
      .flatMap(({ id, holes = [] }) =>
        elsewhere.has(id) || holes.some(hole => moved.has(hole.id)) ? holes.map(hole => hole.id) : [],
      ),
  )
}
