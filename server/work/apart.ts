// The build makes #process; nothing else declares it.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="../types/worker.d.ts" />
import { fork, type ChildProcess } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import PROCESS from '#process'
import type { LogEntry } from '../../core/job'
import type { AnswerOf } from './tasks'

/** So long a file is read at most, ms, and with so much memory, MB. */
const [TIME, MEMORY] = [60_000, 1_024]

const running = new Set<ChildProcess>()

/** Why a process gave no answer. */
export class GivenUp extends Error {
  /** @param late it took too long; otherwise it needed more memory than it may have, or was ended */
  constructor(readonly late: boolean) {
    super(late ? 'took too long' : 'ended without an answer')
  }
}

/**
 * Reads a job file in a process of its own: a thread shares the server's memory, and one that is busy within JSON.parse
 * is not ended when it is given up; a process is.
 *
 * @throws GivenUp
 */
export function readApart(file: Uint8Array): Promise<AnswerOf<'job'>> {
  const child = fork(fileURLToPath(PROCESS), [], {
    execArgv: [`--max-old-space-size=${MEMORY}`], serialization: 'advanced', stdio: ['pipe', 'ignore', 'ignore', 'ipc'],
  })
  running.add(child)
  return new Promise<AnswerOf<'job'>>((answered, failed) => {
    const giveUp = setTimeout(() => {
      failed(new GivenUp(true))
      child.kill('SIGKILL')
    }, TIME)
    const log: LogEntry[] = []
    child.on('message', (said: AnswerOf<'job'> | { log: LogEntry[] }) => {
      if ('log' in said) log.push(...said.log)
      else answered('job' in said ? { job: { ...said.job, log } } : said)
    })
    child.once('error', failed)
    child.once('close', () => {
      clearTimeout(giveUp)
      running.delete(child)
      failed(new GivenUp(false))
    })
    // It may have ended before it has read all of the file; its end says so.
    child.stdin!.on('error', () => {})
    child.stdin!.end(file)
  })
}

/** Ends whatever is being read. */
export function endReading(): void {
  for (const child of running) child.kill('SIGKILL')
}
