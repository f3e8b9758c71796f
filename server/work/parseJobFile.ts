import { InvalidJob, LIMITS, tokenFault, validateJob, type Fault, type Job } from '../../core/job'
import { chainFault } from '../../core/log'

/** What a job file says, or what is wrong with it. */
export type FileRead = { job: Job } | { faults: Fault[] } | { notJson: string }

/** Reads a job file that came in. */
export function parseJobFile(file: Uint8Array): FileRead {
  const heavy = tokenFault(file, LIMITS.jobValues, LIMITS.deepest)
  if (heavy) return { faults: [{ path: '$', message: heavy }] }
  try {
    const job = validateJob(JSON.parse(new TextDecoder().decode(file)))
    const fault = chainFault(job)
    return fault ? { faults: [fault] } : { job }
  }
  catch (error) {
    if (error instanceof InvalidJob) return { faults: error.faults }
    if (error instanceof SyntaxError) return { notJson: error.message }
    throw error
  }
}
