/**
 * A function of one number that works each answer out once. The screens of a column share all that
 * follows from their place along the wall alone.
 */
export function onceForEach<T>(answer: (x: number) => T): (x: number) => T {
  const known = new Map<number, T>()
  return (x) => {
    if (!known.has(x)) known.set(x, answer(x))
    return known.get(x)!
  }
}
