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
  let alike = keys.length === Object.keys(was).length
  const shared: Tree = Array.isArray(newer) ? [] as unknown as Tree : {}
  for (const key of keys) {
    shared[key] = share(was[key], is[key])
    if (!Object.is(shared[key], was[key])) alike = false
  }
  return (alike ? older : shared) as T
}
