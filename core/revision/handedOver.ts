import type { HandedOver } from '../close'
import type { Job, Wall } from '../job'
import { asBuilt } from '../log'
import { contextOf, planWall } from '../plan'
import { rulesFor } from '../rules'
import { revisionsOf } from './revisions'

/** What the handover of a wall is made of: its plan with what was made, against what was issued last. */
export function handedOverOf(job: Job, wall: Wall): HandedOver {
  const built = asBuilt(job.log, wall)
  const plan = planWall(wall, contextOf(job), built)
  const last = revisionsOf(job.log, wall).findLast(({ frozen }) => frozen !== undefined)
  return {
    site: job.site,
    wall,
    plan,
    issued: last?.frozen?.plan.arrays ?? plan.arrays,
    ...(last && { revision: last.revision }),
    built,
    catalogue: job.catalogue,
    rules: rulesFor(job, wall),
    log: job.log,
  }
}
