import { bothAdded, isItems, isTree, keyOf, same, WHOLE, type Item, type Tree } from './merge'

/** A place that two people changed, each to something else. */
export interface Clash { path: string, mine: unknown, theirs: unknown }

const at = (tree: Tree, key: string) => Object.hasOwn(tree, key) ? tree[key] : undefined

/** Whether a list's entries were put in another order, those that came or went aside. */
function reordered(base: Item[], now: Item[]): boolean {
  const [was, is] = [base, now].map(items => items.map(keyOf)) as [string[], string[]]
  return !same(was.filter(key => is.includes(key)), is.filter(key => was.includes(key)))
}

/**
 * Where `merge` would have to decide between two people: both changed the same value, each to something else, or
 * `mine` puts a list in another order that the other changed too, which `merge` would lose. A value of several parts
 * that mean nothing one by one, as the layers of a wall, is one place.
 *
 * @returns each place with what both made of it, as paths such as `arrays departures gap x`
 * @example
 * clashes({ w: 1, h: 1 }, { w: 2, h: 1 }, { w: 1, h: 3 }) // []
 * clashes({ w: 1, h: 1 }, { w: 2, h: 1 }, { w: 4, h: 1 }) // [{ path: 'w', mine: 2, theirs: 4 }]
 */
export function clashes(base: unknown, mine: unknown, theirs: unknown, path: string[] = []): Clash[] {
  if (same(mine, base) || same(theirs, base) || same(mine, theirs)) return []
  const here = [{ path: path.join(' '), mine, theirs }]
  if (WHOLE.has(path.at(-1) ?? '')) return here
  if (isItems(mine) && isItems(theirs)) {
    const was = isItems(base) ? base : []
    if (reordered(was, mine)) return [{ ...here[0]!, path: [...path, 'order'].join(' ') }]
    const of = (items: Item[], key: string | undefined) => items.find(item => keyOf(item) === key)
    const keys = new Set([...was, ...mine, ...theirs].map(keyOf))
    const told = (key: string | undefined) => (JSON.parse(key!) as unknown[]).join(' ')
    return [...keys].flatMap(key => clashes(of(was, key), of(mine, key), of(theirs, key), [...path, told(key)]))
  }
  if (!isTree(mine) || !isTree(theirs)) return bothAdded(base, mine, theirs) ? [] : here
  const was = isTree(base) ? base : {}
  const keys = new Set([was, mine, theirs].flatMap(tree => Object.keys(tree)))
  return [...keys].flatMap(key => clashes(at(was, key), at(mine, key), at(theirs, key), [...path, key]))
}

/** Whether two people changed the same place, each to something else. */
export const clash = (base: unknown, mine: unknown, theirs: unknown): boolean => clashes(base, mine, theirs).length > 0
