import type { H3Event } from 'h3'
import type { Job } from '../../core/job'
import { readJob } from '../work/pool'
import { apiError, validationError } from './apiError'

/**
 * Reads a job file that came in, in a process of its own.
 *
 * @throws 400 where it is not JSON, 422 with every fault, 413 or 503 where it takes too much memory or time
 */
export async function readJobFile(file: Uint8Array, event?: H3Event): Promise<Job> {
  const read = await readJob(file, event)
  if ('notJson' in read) throw apiError(400, 'not-json', `The data sent is not JSON: ${read.notJson}`)
  if ('faults' in read) throw validationError(read.faults)
  return read.job
}
