import { readFileSync } from 'node:fs'
import { InvalidJob, readJob, type Job } from '../core/job'
import { Refused } from './verb'

/** Standard input, as a file is named on the command line. */
const STDIN = '-'

const WHY: Record<string, string> = {
  ENOENT: 'the file does not exist',
  EISDIR: 'it is a folder',
  EACCES: 'permission denied',
}

/** The text of a file, or of standard input for `-`; a byte order mark is passed over. @throws Refused */
function textOf(file: string): string {
  const name = file === STDIN ? 'Standard input' : file
  let bytes: Buffer
  try {
    bytes = readFileSync(file === STDIN ? 0 : file)
  }
  catch (error) {
    const { code = '', message } = error as NodeJS.ErrnoException
    throw new Refused(`${name} cannot be read: ${WHY[code] ?? message}`)
  }
  if ((bytes[0] === 0xff && bytes[1] === 0xfe) || (bytes[0] === 0xfe && bytes[1] === 0xff))
    throw new Refused(`${name} is UTF-16; a job file is UTF-8. Save it as UTF-8.`)
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  }
  catch {
    throw new Refused(`${name} is not UTF-8. Save it as UTF-8.`)
  }
}

/** The job in a file, or in standard input for `-`. @throws Refused with every fault, a line each */
export function jobIn(file: string): Job {
  try {
    return readJob(textOf(file))
  }
  catch (error) {
    throw error instanceof InvalidJob ? new Refused(error.message) : error
  }
}
