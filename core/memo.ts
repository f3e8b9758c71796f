/**
 * A function of one thing that works each answer out once. The screens of a column share all that
 * follows from their place along the wall alone.
 */
export function memoize<Key, T>(answer: (key: Key) => T): (key: Key) => T {
  const known = new Map<Key, T>()
  return (key) => {
    if (!known.has(key)) known.set(key, answer(key))
    return known.get(key)!
  }
}
