import { apart, arraysOf, type Wall } from '../job'

/** A copy of what may be under edit just now, which `structuredClone` cannot take. */
export const copyOf = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/**
 * An id for an array that no other device makes, and a name that none of those that it is seen with has: two people can
 * add to a wall at once.
 */
export function fresh(wall: Wall, name: string): { id: string, name: string } {
  const root = name.toLowerCase().normalize('NFD').replace(/[^a-z0-9]+/g, '-').replace(/^-+|-+$/g, '') || 'array'
  const taken = arraysOf(wall).map(array => array.name)
  let [free, n] = [name, 2]
  while (taken.includes(free)) free = `${name} ${n++}`
  return { id: `${root}-${apart()}`, name: free }
}
