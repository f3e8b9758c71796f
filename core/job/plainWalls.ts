import type { LogEntry } from '../log/entry'
import type { Wall } from './wall'
import { idFrom, PLAIN_ID } from './plainId'

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
  return {
    ...job,
    walls,
    log: job.log.map(entry =>
      entry.hash === undefined && renamed.has(entry.wall) ? { ...entry, wall: renamed.get(entry.wall)! } : entry,
    ),
  }
}

/** By which id a wall goes now, for every id that entries of a log may name it by. */
export const idsNow = (walls: Pick<Wall, 'id' | 'formerId'>[]): Map<string, string> =>
  new Map(
    walls.flatMap(({ id, formerId }) => [
      [id, id] as const,
      ...(formerId === undefined ? [] : [[formerId, id] as const]),
    ]),
  )
