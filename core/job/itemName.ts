import type { Wall } from './wall'

/** Something of a wall that people call by a letter and a number: a reading, a feature, a box, a source. */
interface Item { id: string, number?: number | undefined, name?: string | undefined }

/** An id that was made where it was entered: letter, the number that was next there, and what no other device makes. */
const MADE = /^([a-z])(\d+)-[0-9a-z]{6}$/
/** An id as earlier versions made them: letter and number. */
const PLAIN = /^[a-z](\d+)$/

const ALPHABET = '0123456789abcdefghijklmnopqrstuvwxyz'
/** Six letters or digits that no two devices make alike: one in two thousand million. */
export const apart = () => Array.from(crypto.getRandomValues(new Uint8Array(6)), byte => ALPHABET[byte % 36]).join('')

const numberIn = ({ id, number }: Item): number => number ?? Number((MADE.exec(id)?.[2] ?? PLAIN.exec(id)?.[1]) ?? 0)

/**
 * An id for something new in a list that two people may add to at once: no two devices make the same one. It begins
 * with the next number of the list, so that it can be read.
 *
 * @example madeId('e', [{ id: 'e2' }, { id: 'e10' }]) // 'e11-' and six letters or digits
 */
export const madeId = (letter: string, items: Item[] = []): string =>
  `${letter}${Math.max(0, ...items.map(numberIn)) + 1}-${apart()}`

/** Ids for many new things of one list, in their order. */
export function madeIds(letter: string, items: Item[], count: number): string[] {
  const first = Math.max(0, ...items.map(numberIn)) + 1
  return Array.from({ length: count }, (_, n) => `${letter}${first + n}-${apart()}`)
}

/**
 * What something is called on the screen and on paper: its letter and the number that the server gave it; until then
 * the number that was next where it was entered, and that it is new. What was named otherwise keeps its name.
 *
 * @example itemName({ id: 'e11-x7k2pq', number: 12 }) // 'e12'
 * @example itemName({ id: 'jamb' }) // 'jamb'
 */
export function itemName({ id, number, name }: Item): string {
  if (name) return name
  const made = MADE.exec(id)
  if (!made) return id
  return number === undefined ? `${made[1]}${made[2]} (new)` : `${made[1]}${number}`
}

const listsOf = (wall: Partial<Wall>): Item[][] =>
  [wall.evidence, wall.references, wall.features, wall.blocking, wall.boxes, wall.sources].map(list => list ?? [])

/** What things of a wall are called, by their ids. */
export function namesOn(wall: Partial<Wall>): (id: string) => string {
  const names = new Map(listsOf(wall).flat().map(item => [item.id, itemName(item)]))
  return id => names.get(id) ?? itemName({ id })
}

/** Gives numbers to the items of a list that have none: their own where no other has it, else the next one. */
function numbered<List extends Item[] | undefined>(list: List): List {
  if (!list?.some(({ id, number }) => number === undefined && MADE.test(id))) return list
  const isNew = ({ id, number }: Item) => number === undefined && MADE.test(id)
  const taken = new Set(list.filter(item => !isNew(item)).map(numberIn))
  let highest = Math.max(0, ...list.map(numberIn))
  return list.map((item) => {
    if (!isNew(item)) return item
    const own = numberIn(item)
    const number = taken.has(own) ? ++highest : own
    taken.add(number)
    return { ...item, number }
  }) as List
}

/** Lists of a wall whose items the server numbers. */
export const NUMBERED = ['evidence', 'references', 'features', 'blocking', 'boxes', 'sources'] as const

/** A wall with a number for everything that was added to it since it was saved last; numbers that were given stay. */
export function withNumbers(wall: Wall): Wall {
  const lists = NUMBERED.flatMap((key) => {
    const list = numbered(wall[key] as Item[] | undefined)
    return list === wall[key] ? [] : [[key, list] as const]
  })
  return lists.length === 0 ? wall : { ...wall, ...Object.fromEntries(lists) }
}
