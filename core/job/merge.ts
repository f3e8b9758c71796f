type Item = { id: string }
type Tree = Record<string, unknown>

/** Same value, whatever the order of keys. */
export function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null || Array.isArray(a) !== Array.isArray(b)) return false
  const keys = new Set([...Object.keys(a), ...Object.keys(b)])
  return [...keys].every(key => same(at(a as Tree, key), at(b as Tree, key)))
}

/** What a tree has of its own under a key, be it named as what every object has. */
const at = (tree: Tree, key: string) => Object.hasOwn(tree, key) ? tree[key] : undefined

const isTree = (value: unknown): value is Tree => typeof value === 'object' && value !== null && !Array.isArray(value)
const isItems = (value: unknown): value is Item[] =>
  Array.isArray(value) && value.every(item => isTree(item) && typeof item.id === 'string')

function mergeTree(base: Tree, mine: Tree, theirs: Tree): Tree {
  const keys = new Set([...Object.keys(theirs), ...Object.keys(mine)])
  return Object.fromEntries([...keys]
    .map(key => [key, merge(at(base, key), at(mine, key), at(theirs, key))] as const)
    .filter(([, value]) => value !== undefined))
}

/** Lists of things with ids: each thing is merged by itself, and theirs sets the order. */
function mergeItems(base: Item[], mine: Item[], theirs: Item[]): Item[] {
  const byId = (items: Item[]) => new Map(items.map(item => [item.id, item]))
  const [was, my, their] = [byId(base), byId(mine), byId(theirs)]
  return [...new Set([...their.keys(), ...my.keys()])]
    .map(id => merge(was.get(id), my.get(id), their.get(id)) as Item | undefined)
    .filter(item => item !== undefined)
}

/**
 * Lays the change from `base` to `mine` on top of `theirs`.
 *
 * What only one side changed is kept from that side; where both changed the same value, mine wins.
 * Lists whose entries have ids are merged entry by entry, other lists as one value. It serves both
 * a save on top of another person's and an undo of an edit that others have built upon.
 *
 * @example
 * merge({ w: 1, h: 1 }, { w: 2, h: 1 }, { w: 1, h: 3 }) // { w: 2, h: 3 }
 */
export function merge<T>(base: T, mine: T, theirs: T): T {
  if (same(mine, base)) return theirs
  if (same(theirs, base) || same(theirs, mine)) return mine
  if (isItems(mine) && isItems(theirs)) return mergeItems(isItems(base) ? base : [], mine, theirs) as T
  if (isTree(mine) && isTree(theirs)) return mergeTree(isTree(base) ? base : {}, mine, theirs) as T
  return mine
}

/** Whether a list's entries were put in another order, those that came or went aside. */
function reordered(base: Item[], now: Item[]): boolean {
  const [was, is] = [base, now].map(items => items.map(({ id }) => id)) as [string[], string[]]
  return !same(was.filter(id => is.includes(id)), is.filter(id => was.includes(id)))
}

/**
 * Whether `merge` would have to decide between two people: both changed the same value, each to something else, or
 * `mine` puts a list in another order that the other changed too, which `merge` would lose.
 *
 * @example
 * clash({ w: 1, h: 1 }, { w: 2, h: 1 }, { w: 1, h: 3 }) // false
 * clash({ w: 1, h: 1 }, { w: 2, h: 1 }, { w: 4, h: 1 }) // true
 */
export function clash(base: unknown, mine: unknown, theirs: unknown): boolean {
  if (same(mine, base) || same(theirs, base) || same(mine, theirs)) return false
  if (isItems(mine) && isItems(theirs)) {
    const was = isItems(base) ? base : []
    const of = (items: Item[], id: string) => items.find(item => item.id === id)
    const ids = new Set([...was, ...mine, ...theirs].map(({ id }) => id))
    return reordered(was, mine) || [...ids].some(id => clash(of(was, id), of(mine, id), of(theirs, id)))
  }
  if (!isTree(mine) || !isTree(theirs)) return true
  const was = isTree(base) ? base : {}
  return [...new Set([was, mine, theirs].flatMap(tree => Object.keys(tree)))].some(key => clash(at(was, key), at(mine, key), at(theirs, key)))
}

/** Every place where two values differ, as paths such as `arrays[0].gap.x`. */
export function differences(a: unknown, b: unknown, path = ''): string[] {
  if (same(a, b)) return []
  if (isTree(a) && isTree(b)) {
    return [...new Set([...Object.keys(a), ...Object.keys(b)])]
      .flatMap(key => differences(at(a, key), at(b, key), path ? `${path}.${key}` : key))
  }
  if (Array.isArray(a) && Array.isArray(b) && a.length === b.length) {
    return a.flatMap((value, index) => differences(value, b[index], `${path}[${index}]`))
  }
  return [path]
}
