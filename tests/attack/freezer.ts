import { text } from 'node:stream/consumers'
import { asBuilt } from '../../core/log'
import type { Job } from '../../core/job'
import { contextOf, planWall } from '../../core/plan'
import { freeze } from '../../core/revision'

/*
 * Freezes the only wall of a job from standard input as a device does that issues it, and prints the frozen design. A
 * process of its own, because the runner of the journeys would take ten seconds to translate the whole core.
 */
const { job, after } = JSON.parse(await text(process.stdin)) as { job: Job, after?: string }
const [wall] = job.walls
const context = contextOf(job)
const built = asBuilt(job.log, wall!)
const design = { ...job, rules: context.rules }
const frozen = freeze(wall!, design, built, planWall(wall!, context, built), { ...after && { after } })
process.stdout.write(JSON.stringify(frozen))
