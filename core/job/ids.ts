import type { LogEntry } from '../log/entry'
import type { Wall } from './wall'

/** An id that stands in an address and in a file name as it is. */
export const PLAIN_ID = /^[a-z0-9][a-z0-9-]*$/

/** So many letters of a name are made into an id. */
const LONGEST = 60

/**
 * An id made of a name: small letters, figures and hyphens, and not one that is taken.
 *
 * @param otherwise the id of a name that has neither letter nor figure of the Latin alphabet
 * @example
 * idFrom('Café, by the counter', 'wall', ['hall']) // 'cafe-by-the-counter'
 */
export function idFrom(name: string, otherwise: string, taken: Iterable<string> = []): string {
  const plain = name.normalize('NFD').replace(/[\u0300-\u036f]/g, '').toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-+|-+$/g, '').slice(0, LONGEST) || otherwise
  const known = new Set(taken)
  let id = plain
  for (let n = 2; known.has(id); n++) id = `${plain}-${n}`
  return id
}

/**
 * Walls whose ids could not stand in an address with ids made of their names. What they were called before is kept, as
 * entries that have their place in a log name them by it; those that have none yet are told the new id.
 */
export function withPlainIds<Job extends { walls: Wall[], log: LogEntry[] }>(job: Job): Job {
  if (job.walls.every(({ id }) => PLAIN_ID.test(id))) return job
  const taken = new Set(job.walls.map(({ id }) => id))
  const renamed = new Map<string, string>()
  const walls = job.walls.map((wall): Wall => {
    if (PLAIN_ID.test(wall.id)) return wall
    const id = idFrom(wall.name, 'wall', taken)
    taken.add(id)
    renamed.set(wall.id, id)
    return { ...wall, id, formerId: wall.id }
  })
  return { ...job, walls, log: job.log.map(entry => entry.hash === undefined && renamed.has(entry.wall) ? { ...entry, wall: renamed.get(entry.wall)! } : entry) }
}

/** By which id a wall goes now, for every id that entries of a log may name it by. */
export const idsNow = (walls: Pick<Wall, 'id' | 'formerId'>[]): Map<string, string> =>
  new Map(walls.flatMap(({ id, formerId }) => [[id, id] as const, ...formerId === undefined ? [] : [[formerId, id] as const]]))
