import { planFile } from '../../core/plan/planFile'
import { jobIn } from '../input'
import type { Verb } from '../verb'

export const plan: Verb = {
  usage: 'plan JOB.json', does: 'print the plan of a job file as JSON', files: ['JOB.json'],
  more: 'A plan with stops is printed like any other, with exit status 0; its findings say what must not be built.',
  run: ([file]) => ({ printed: `${JSON.stringify(planFile(jobIn(file!)), null, 2)}\n` }),
}
