// The build makes #process; nothing else declares it.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="../types/worker.d.ts" />
import { fork, type ChildProcess } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import PROCESS from '#process'
import type { LogEntry } from '../../core/job'
import type { FileRead } from './parseJobFile'

/** So long a file is read at most, ms, and with so much memory, MB. */
const [TIME, MEMORY] = [60_000, 1_024]

/** So long a process waits for the next file, ms. */
const SPARE = 300_000

const running = new Set<ChildProcess>()
/** The next one, started ahead: a process takes longer to start than to refuse a file. */
let spare: ChildProcess | undefined

const started = () => fork(fileURLToPath(PROCESS), [], {
  execArgv: [`--max-old-space-size=${MEMORY}`], serialization: 'advanced', stdio: ['pipe', 'ignore', 'ignore', 'ipc'],
})

/** Starts the next process while one works; nothing waits for it, and it ends by itself where none comes. */
function startSpare(): void {
  if (spare) return
  const child = started()
  const forget = () => {
    if (spare === child) spare = undefined
  }
  const tired = setTimeout(() => {
    forget()
    child.kill('SIGKILL')
  }, SPARE).unref()
  child.once('close', () => {
    clearTimeout(tired)
    forget()
  }).once('error', forget)
  child.unref()
  child.channel?.unref()
  spare = child
}

/** A process that reads one file: the one that waits, or a new one. */
function takeProcess(): ChildProcess {
  const child = spare?.connected ? spare : started()
  spare = undefined
  child.ref()
  child.channel?.ref()
  running.add(child)
  startSpare()
  return child
}

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
export function readApart(file: Uint8Array): Promise<FileRead> {
  const child = takeProcess()
  return new Promise<FileRead>((answered, failed) => {
    const giveUp = setTimeout(() => {
      failed(new GivenUp(true))
      child.kill('SIGKILL')
    }, TIME)
    const log: LogEntry[] = []
    child.on('message', (said: FileRead | { log: LogEntry[] }) => {
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
  spare?.kill('SIGKILL')
}
