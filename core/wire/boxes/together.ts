import { overlaps, type Point, type Rect } from '../../geometry'
import { cutoutAt, nearestPlace, type Obstacle } from './place'
import { around, CLEAR } from './obstacles'

/** A box of a screen that looks for its place: rooms of which one has to hold it, and what it alone keeps clear of. */
export interface Seeking {
  size: { width: number, height: number }
  kind: 'power' | 'signal'
  wanted: Point
  rooms: (Rect & { bay?: number })[]
  obstacles: Obstacle[]
}

/** Bays that power, and that signal, has taken already, by index. */
export interface Taken { power: ReadonlySet<number>, signal: ReadonlySet<number> }

interface Rule { ownBays: boolean, apart: number }
type Found = (Point & { bay?: number }) | undefined
interface Answer { unplaced: number, far: number, found: Found[] }

const permutations = (count: number): number[][] =>
  count <= 1
    ? [Array.from({ length: count }, (_, n) => n)]
    : count > 3
      ? [Array.from({ length: count }, (_, n) => n)]
      : permutations(count - 1).flatMap(shorter =>
          Array.from({ length: count }, (_, at) => [...shorter.slice(0, at), count - 1, ...shorter.slice(at)]),
        )

const isBetter = (a: Answer, b: Answer | undefined) =>
  !b || a.unplaced < b.unplaced || (a.unplaced === b.unplaced && a.far < b.far - 1e-9)

/**
 * The best places of some boxes in every choice of rooms, in which each is as near to where it is wanted as those
 * before it let it.
 */
function search(seeking: Seeking[], obstacles: Obstacle[], taken: Taken | undefined, { ownBays, apart }: Rule): Answer {
  /**
   * Of each box by room, how far its nearest place is where nothing else of the screen is placed: nothing is nearer.
   */
  const alone = seeking.map(({ size, wanted, rooms, obstacles: own, kind }) => rooms.map((room) => {
    if (ownBays && room.bay !== undefined && taken?.[kind === 'power' ? 'signal' : 'power'].has(room.bay))
      return Infinity
    const at = nearestPlace(wanted, size, [room], [...obstacles, ...own])
    return at ? Math.hypot(at.x - wanted.x, at.y - wanted.y) : Infinity
  }))
  const least = alone.map(list => Math.min(Infinity, ...list))
  let best: Answer | undefined
  const place = (order: number[], at: number, answer: Answer) => {
    const left = order.slice(at).reduce((sum, n) => sum + (least[n] === Infinity ? 0 : least[n]!), 0)
    const never = order.slice(at).filter(n => least[n] === Infinity).length
    if (!isBetter({ ...answer, unplaced: answer.unplaced + never, far: answer.far + left }, best)) return
    if (at === order.length) {
      best = answer
      return
    }
    const n = order[at]!
    const { size, wanted, rooms, obstacles: own, kind } = seeking[n]!
    const others = answer.found.flatMap((found, k) => found ? [{ found, of: seeking[k]! }] : [])
    const inRooms = rooms
      .map((room, k) => ({ room, far: alone[n]![k]! }))
      .filter(({ far }) => far < Infinity)
      .sort((a, b) => a.far - b.far)
    for (const { room } of inRooms) {
      const unlike = others.filter(
        ({ found, of }) => of.kind !== kind && room.bay !== undefined && found.bay === room.bay,
      )
      if (taken && ownBays && unlike.length > 0) continue
      const near: Obstacle[] = [
        ...others.map(({ found, of }) => ({ ...around(cutoutAt(found, of.size), CLEAR), name: '' })),
        ...(ownBays
          ? []
          : unlike
              .filter(() => 2 * apart > size.width)
              .map(({ found }) => ({
                x: found.x - apart + size.width / 2,
                y: -1e6,
                width: 2 * apart - size.width,
                height: 2e6,
                name: '',
              }))),
      ]
      const found = nearestPlace(wanted, size, [room], [...obstacles, ...own, ...near])
      if (found)
        place(order, at + 1, {
          ...answer,
          far: answer.far + Math.hypot(found.x - wanted.x, found.y - wanted.y),
          found: answer.found.map((each, k) =>
            k === n ? { ...found, ...(room.bay !== undefined && { bay: room.bay }) } : each,
          ),
        })
    }
    place(order, at + 1, { ...answer, unplaced: answer.unplaced + 1 })
  }
  for (const order of permutations(seeking.length))
    place(order, 0, { unplaced: 0, far: 0, found: seeking.map(() => undefined) })
  return best!
}

/**
 * Places for the boxes of one screen, in the same order of aims as plates have: most of them placed, then least
 * distance from where they are wanted. Where power and signal have bays of their own and not all find a place so, they
 * are placed without that, and what lies together is reported.
 */
export function placeTogether(seeking: Seeking[], obstacles: Obstacle[], taken: Taken, rule: Rule): Found[] {
  const rooms = seeking.flatMap(each => each.rooms)
  const near = obstacles.filter(each => rooms.some(room => overlaps(room, each)))
  const kept = search(seeking, near, taken, rule)
  if (kept.unplaced === 0 || !rule.ownBays) return kept.found
  const any = search(seeking, near, undefined, rule)
  return any.unplaced < kept.unplaced ? any.found : kept.found
}
