type Tree = Record<string, unknown>
const isTree = (value: unknown): value is Tree => typeof value === 'object' && value !== null

/**
 * The newer of two values, with every part that is as it was taken from the older one, so that who
 * draws it sees at a glance what has not changed.
 *
 * @example
 * const old = { a: { n: 1 }, b: { n: 2 } }
 * share(old, { a: { n: 1 }, b: { n: 3 } }).a === old.a // true
 */
export function share<T>(older: unknown, newer: T): T {
  if (Object.is(older, newer)) return newer
  if (!isTree(older) || !isTree(newer) || Object.getPrototypeOf(older) !== Object.getPrototypeOf(newer)) return newer
  if (!Array.isArray(newer) && Object.getPrototypeOf(newer) !== Object.prototype) return newer
  const [was, is] = [older as Tree, newer as Tree]
  const keys = Object.keys(is)
  // Own keys only, set as such: a key may have the name of something that every object has.
  const before = (key: string) => Object.hasOwn(was, key) ? was[key] : undefined
  const values = keys.map(key => share(before(key), is[key]))
  const alike
    = keys.length === Object.keys(was).length
      && keys.every((key, n) => Object.hasOwn(was, key) && Object.is(values[n], before(key)))
  if (alike) return older as T
  return (Array.isArray(newer) ? values : Object.fromEntries(keys.map((key, n) => [key, values[n]]))) as T
}
