import type { Interval } from '../geometry'
import type { Sign } from './sign'

/** Readings farther apart in height than this are at two heights, mm. */
export const ANOTHER_HEIGHT = 300
/** A nail, a bit or sight tells of its own height: one this far off, mm, does not contradict it. */
export const NAILED_HEIGHT = 60
/** So far inside a member's face a nail that meets nothing says that none is there, mm. */
export const INSIDE = 3

/** Nails and bits that met nothing. */
export const missesOf = (signs: Sign[]): Sign[] => signs.filter(({ speaksFor, kind }) => !speaksFor && kind === 'hole')

/** Those of `misses` that are inside a member's face. */
export function missesIn({ centre, width }: { centre: number, width: number }, misses: Sign[]): Sign[] {
  return misses.filter(({ x }) => Math.abs(x - centre) < width / 2 - INSIDE)
}

/** A function that gives the things that lie nearer to a place than a reach, from the left. */
export function besideIn<Thing extends { x: number }>(things: Thing[]): (x: number, reach: number) => Thing[] {
  const sorted = [...things].sort((a, b) => a.x - b.x)
  return (x, reach) => {
    let [low, high] = [0, sorted.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if (sorted[middle]!.x <= x - reach) low = middle + 1
      else high = middle
    }
    let end = low
    while (end < sorted.length && sorted[end]!.x < x + reach) end++
    return sorted.slice(low, end)
  }
}

/** Whether a sign is a nail, a bit or sight, which no instrument outranks. */
export const isNailed = ({ kind, reading: { method } }: Sign): boolean => kind === 'hole' || method === 'seen'

/**
 * Whether everything that speaks for a member here was read at another height than this sign. Where a nail or a bit met
 * the member, that decides it, and not what instruments told.
 */
export function atAnotherHeight(sign: Sign, speaking: Sign[]): boolean {
  const nailed = speaking.filter(isNailed)
  if (nailed.length > 0) return nailed.every(({ reading }) => Math.abs(reading.y - sign.reading.y) > NAILED_HEIGHT)
  return speaking.length > 0 && speaking.every(({ reading }) => Math.abs(reading.y - sign.reading.y) > ANOTHER_HEIGHT)
}

/**
 * Whether a nail or bit that met nothing at another height shows that the member ends between. It does where a nail
 * met the member, or a person saw it, so that it cannot stand elsewhere, where instruments of two kinds found it in one
 * place, or where a second one met nothing there too. One that missed what one kind of instrument found shows that it
 * was wrong of its place: a member seldom ends half way.
 */
export function showsEnd(miss: Sign, speaking: Sign[], misses: Sign[]): boolean {
  if (!atAnotherHeight(miss, speaking)) return false
  if (speaking.some(isNailed) || new Set(speaking.map(({ kind }) => kind)).size > 1) return true
  const side = Math.sign(miss.reading.y - speaking[0]!.reading.y)
  return misses.some(
    other =>
      other !== miss
      && Math.sign(other.reading.y - speaking[0]!.reading.y) === side
      && atAnotherHeight(other, speaking),
  )
}

/**
 * Where a member is taken to stand, mm above the floor, where it does not run the wall's whole
 * height: a nail that met nothing at another height than all that speaks for the member ends it half
 * way between. Undefined where it runs the whole height, as it does until evidence says otherwise.
 *
 * @example
 * // met at 600 and 1000, missed at 1800, on a wall of 2700: stands from the floor to 1400
 * stretchesOf(met, misses, 2700) // [{ from: 0, to: 1400 }]
 */
export function stretchesOf(met: Sign[], misses: Sign[], height: number): Interval[] | undefined {
  const ends = misses.filter(miss => showsEnd(miss, met, misses))
  if (ends.length === 0) return undefined
  const heights = [
    ...met.map(({ reading }) => ({ y: reading.y, stands: true })),
    ...ends.map(({ reading }) => ({ y: reading.y, stands: false })),
  ].sort((a, b) => a.y - b.y)
  const stretches: Interval[] = []
  heights.forEach(({ y, stands }, n) => {
    if (!stands) return
    const [below, above] = [heights[n - 1], heights[n + 1]]
    const from = below ? (below.y + y) / 2 : 0
    const to = above ? (y + above.y) / 2 : height
    if (below?.stands) stretches.at(-1)!.to = to
    else stretches.push({ from, to })
  })
  return stretches
}

/** Whether a member stands at a height, as far as is known. */
export function standsAt({ stretches }: { stretches?: Interval[] }, y: number): boolean {
  return !stretches || stretches.some(({ from, to }) => y >= from && y <= to)
}
