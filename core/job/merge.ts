export type Item = Record<string, unknown>
export type Tree = Record<string, unknown>

/** What is one value although it has parts: the layers of a wall, a coursing. Half of each of two makes no wall. */
export const WHOLE: ReadonlySet<string> = new Set(['covering', 'block', 'brick'])

/** Same value, whatever the order of keys. */
export function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true
  if (
    typeof a !== 'object'
    || typeof b !== 'object'
    || a === null
    || b === null
    || Array.isArray(a) !== Array.isArray(b)
  )
    return false
  const keys = new Set([...Object.keys(a), ...Object.keys(b)])
  return [...keys].every(key => same(at(a as Tree, key), at(b as Tree, key)))
}

/** What a tree has of its own under a key, be it named as what every object has. */
const at = (tree: Tree, key: string) => Object.hasOwn(tree, key) ? tree[key] : undefined

export const isTree = (value: unknown): value is Tree =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
/**
 * What tells one entry of a list from the others: its id or, in lists whose entries have none, what they are of: the
 * task that is pinned, the two sites, the hole or cell of an array, the place that was read.
 */
const KEYS = [
  ['id'],
  ['task'],
  ['before', 'after'],
  ['from', 'to'],
  ['row', 'column', 'of', 'rank'],
  ['row', 'column'],
  ['x', 'y'],
  ['day', 'site', 'crew'],
]
/** What an entry is known by in its list; undefined for one that is known by nothing. */
export function keyOf(item: Item): string | undefined {
  const known = KEYS.find(keys => keys.every(key => ['string', 'number'].includes(typeof item[key])))
  return known && JSON.stringify(known.map(key => item[key]))
}
/** Whether a list is one of entries that are each known by something, and no two by the same. */
export function isItems(value: unknown): value is Item[] {
  if (!Array.isArray(value) || !value.every(isTree)) return false
  const keys = value.map(keyOf)
  return !keys.includes(undefined) && new Set(keys).size === keys.length
}

const isNames = (value: unknown): value is string[] =>
  Array.isArray(value) && value.every(each => typeof each === 'string')
/** A list of names with what either side added and without what either took away. */
function mergeNames(base: string[], mine: string[], theirs: string[]): string[] {
  return [
    ...theirs.filter(name => mine.includes(name) || !base.includes(name)),
    ...mine.filter(name => !base.includes(name) && !theirs.includes(name)),
  ]
}

/** What two people added to a list of names, where neither took any away; undefined where one did. */
export function bothAdded(base: unknown, mine: unknown, theirs: unknown): string[] | undefined {
  if (!isNames(mine) || !isNames(theirs)) return undefined
  const was = isNames(base) ? base : []
  return was.every(name => mine.includes(name) && theirs.includes(name))
    ? [...new Set([...theirs, ...mine])]
    : undefined
}

/** What is one value is taken from whoever changed it, and mine where both did. */
const mergeWhole = (base: unknown, mine: unknown, theirs: unknown): unknown => same(mine, base) ? theirs : mine

function mergeTree(base: Tree, mine: Tree, theirs: Tree): Tree {
  const keys = new Set([...Object.keys(theirs), ...Object.keys(mine)])
  return Object.fromEntries([...keys]
    .map(key => [key, (WHOLE.has(key) ? mergeWhole : merge)(at(base, key), at(mine, key), at(theirs, key))] as const)
    .filter(([, value]) => value !== undefined))
}

/** Lists of things that are known by something: each thing is merged by itself, and theirs sets the order. */
function mergeItems(base: Item[], mine: Item[], theirs: Item[]): Item[] {
  const byKey = (items: Item[]) => new Map(items.map(item => [keyOf(item), item]))
  const [was, my, their] = [byKey(base), byKey(mine), byKey(theirs)]
  return [...new Set([...their.keys(), ...my.keys()])]
    .map(key => merge(was.get(key), my.get(key), their.get(key)) as Item | undefined)
    .filter(item => item !== undefined)
}

/**
 * Lays the change from `base` to `mine` on top of `theirs`.
 *
 * What only one side changed is kept from that side; where both changed the same value, mine wins.
 * Lists whose entries are known by something are merged entry by entry, names that both added are all kept, and other
 * lists are one value. It serves both
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
  if (isNames(mine) && isNames(theirs)) return mergeNames(isNames(base) ? base : [], mine, theirs) as T
  return mine
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
