import { planFile } from '../../core/plan/planFile'
import { missingRevisions } from '../../core/revision'
import { jobIn } from '../input'
import type { Verb } from '../verb'

export const plan: Verb = {
  usage: 'plan JOB.json', does: 'print the plan of a job file as JSON', files: ['JOB.json'],
  more: 'A plan with stops is printed like any other, with exit status 0; its findings say what must not be built. '
    + 'If the log names an issued revision that the file lacks, nothing is printed, and the exit status is 1.',
  run: ([file]) => {
    const job = jobIn(file!)
    const missing = job.walls.flatMap(wall => missingRevisions(job.log, wall))
    if (missing.length > 0)
      return { printed: '', told: missing.map(({ message }) => `${message}.\n`).join(''), code: 1 }
    return { printed: `${JSON.stringify(planFile(job), null, 2)}\n` }
  },
}
