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

/**
 * A function of things that are never changed in place: asked again about the very same ones, it gives the answer
 * that it gave. The last `most` answers are remembered.
 */
export function remember<Args extends unknown[], Answer>(
  most: number,
  answer: (...args: Args) => Answer,
): (...args: Args) => Answer {
  const known: { args: Args, answer: Answer }[] = []
  return (...args) => {
    const at = known.findIndex(
      each => each.args.length === args.length && each.args.every((arg, n) => Object.is(arg, args[n])),
    )
    const found = at < 0 ? { args, answer: answer(...args) } : known.splice(at, 1)[0]!
    known.unshift(found)
    if (known.length > most) known.pop()
    return found.answer
  }
}

/**
 * Returns the earlier object for one with identical values (shallow), so that functions remembered by identity find
 * their answer.
 */
export function steady<Part extends object>(most: number): (part: Part) => Part {
  const known: Part[] = []
  const isSame = (a: Part, b: Part) => {
    const keys = Object.keys(a) as (keyof Part)[]
    return keys.length === Object.keys(b).length && keys.every(key => Object.is(a[key], b[key]))
  }
  return (part) => {
    const at = known.findIndex(each => isSame(each, part))
    const found = at < 0 ? part : known.splice(at, 1)[0]!
    known.unshift(found)
    if (known.length > most) known.pop()
    return found
  }
}
