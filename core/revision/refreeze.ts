import type { Job, LogEntry, Wall } from '../job'
import { asBuilt } from '../log'
import { contextOf, planWall } from '../plan'
import { freeze } from './frozen'
import { storedOf } from './stored'

/**
 * A job whose log says that mark-outs were issued, with what was frozen then: calculated of its walls as they are, and
 * of what the log knew at each of these moments. For a file that was written manually, as the demo's.
 */
export function withFrozen(job: Job): Job {
  const walls = new Map<string, Wall>(job.walls.map(wall => [wall.id, wall]))
  const log: LogEntry[] = []
  for (const entry of job.log) {
    const wall = walls.get(entry.wall)
    if (entry.kind !== 'issued' || entry.frozen !== undefined || !wall) {
      log.push(entry)
      continue
    }
    const built = asBuilt(log, wall)
    const plan = planWall(wall, contextOf(job), built)
    const after = built.issued && { after: built.issued.id }
    const frozen = freeze(wall, { ...job, rules: contextOf(job).rules }, built, plan, after)
    walls.set(wall.id, { ...wall, revisions: [...wall.revisions ?? [], storedOf(frozen)] })
    log.push({ ...entry, frozen: frozen.id })
  }
  return { ...job, walls: [...walls.values()], log }
}
