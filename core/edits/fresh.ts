import { arraysOf, type Wall } from '../job'

/** A copy of what may be under edit just now, which `structuredClone` cannot take. */
export const copyOf = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/**
 * An id that no array of the wall has, in whatever alternative, and a name that none of those that it is seen with has.
 */
export function fresh(wall: Wall, name: string): { id: string, name: string } {
  const root = name.toLowerCase().normalize('NFD').replace(/[^a-z0-9]+/g, '-').replace(/^-+|-+$/g, '') || 'array'
  const free = (taken: string[], first: string, then: (n: number) => string) => {
    let [candidate, n] = [first, 2]
    while (taken.includes(candidate)) candidate = then(n++)
    return candidate
  }
  return {
    id: free(wall.arrays.map(({ id }) => id), root, n => `${root}-${n}`),
    name: free(arraysOf(wall).map(({ name }) => name), name, n => `${name} ${n}`),
  }
}
