import { InvalidJob } from './fault'
import type { Job } from './job'
import { validateJob } from './validate'

/**
 * Reads a job file's text.
 *
 * @throws InvalidJob with every fault by JSON path; text that is not JSON is one fault at `$`
 */
export function readJob(text: string): Job {
  let value: unknown
  try {
    value = JSON.parse(text)
  }
  catch (error) {
    throw new InvalidJob([{ path: '$', message: `is not JSON: ${(error as Error).message}` }])
  }
  return validateJob(value)
}
