// The build makes #worker; nothing else declares it.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="../types/worker.d.ts" />
import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { Piscina } from 'piscina'
// The build makes this module; nothing else declares it.

/// <reference path="../types/worker.d.ts" />
import WORKER from '#worker'
import { apiError } from '../utils/apiError'
import type { AnswerOf, InputOf, TaskName } from './tasks'

/** So many tasks wait at most, and each is given up after so long, ms. */
const WAITING = 16
const TIME = 60_000
const RETRY_AFTER = 5

let pool: Piscina | undefined
/** The threads, made with the first task. One core is left for answering. */
function threads(): Piscina {
  pool ??= new Piscina({ filename: fileURLToPath(WORKER), minThreads: 0, maxThreads: Math.max(1, Math.min(4, availableParallelism() - 1)), maxQueue: WAITING, idleTimeout: 30_000, resourceLimits: { maxOldGenerationSizeMb: 1_024 } })
  return pool
}

/**
 * Has a task done in a thread, so that nobody else waits for it.
 *
 * @throws 503 where too many wait already, or where it took too long
 */
export async function work<Name extends TaskName>(name: Name, input: InputOf<Name>): Promise<AnswerOf<Name>> {
  const giveUp = AbortSignal.timeout(TIME)
  const busy = (message: string) => Object.assign(apiError(503, 'busy', message), { retryAfter: RETRY_AFTER })
  const piscina = threads()
  if (piscina.queueSize >= WAITING) throw busy('The server is busy. Try again in a moment.')
  try {
    return await piscina.run({ name, input }, { signal: giveUp }) as AnswerOf<Name>
  }
  catch (error) {
    if (giveUp.aborted) throw busy(`The calculation took over ${TIME / 1000} s and was stopped. A wall with fewer screens or readings takes less time.`)
    throw error
  }
}

/** Ends the threads. */
export async function endWork(): Promise<void> {
  await pool?.destroy()
  pool = undefined
}
