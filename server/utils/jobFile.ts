import type { Job } from '../../core/job'
import { work } from '../work/pool'
import { apiError, validationError } from './apiError'

/** Reads a job file that came in, in a thread. @throws 400 where it is not JSON, 422 with every fault */
export async function readJobFile(text: string): Promise<Job> {
  const read = await work('job', { text })
  if ('notJson' in read) throw apiError(400, 'not-json', `The data sent is not JSON: ${read.notJson}`)
  if ('faults' in read) throw validationError(read.faults)
  return read.job
}
