// The build makes #worker; nothing else declares it.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="../types/worker.d.ts" />
import { availableParallelism } from 'node:os'
import { setImmediate } from 'node:timers/promises'
import { fileURLToPath } from 'node:url'
import { Piscina } from 'piscina'
// The build makes this module; nothing else declares it.

/// <reference path="../types/worker.d.ts" />
import WORKER from '#worker'
import type { H3Event } from 'h3'
import { apiError } from '../utils/apiError'
import type { AnswerOf, InputOf, TaskName } from './tasks'
import type { FileRead } from './parseJobFile'
import { endReading, GivenUp, readApart } from './apart'
import { TooMuch, Turns } from './turns'

/** So many tasks wait at most, so many of one who asks, and each is given up after so long, ms. */
const [WAITING, OF_ONE] = [64, 16]
const TIME = 60_000
const RETRY_AFTER = 5

const THREADS = Math.max(1, Math.min(4, availableParallelism() - 1))
const turns = new Turns(THREADS, OF_ONE, WAITING)

/** Who asks for a task: a person, a client by his link, or the server itself. */
function askerOf({ context }: H3Event): string {
  return context.signedIn?.person.id ?? context.opened?.link.id ?? 'anybody'
}

let pool: Piscina | undefined
/** The threads, made with the first task. One core is left for answering. */
function threads(): Piscina {
  pool ??= new Piscina({
    filename: fileURLToPath(WORKER), minThreads: 0, maxThreads: THREADS, idleTimeout: 30_000,
    resourceLimits: { maxOldGenerationSizeMb: 1_024 },
  })
  return pool
}

const busy = (message: string) => Object.assign(apiError(503, 'busy', message), { retryAfter: RETRY_AFTER })

/** Runs a task in a thread. @throws 503 where it took too long */
async function run<Name extends TaskName>(name: Name, input: InputOf<Name>): Promise<AnswerOf<Name>> {
  const giveUp = AbortSignal.timeout(TIME)
  try {
    return await threads().run({ name, input }, { signal: giveUp }) as AnswerOf<Name>
  }
  catch (error) {
    if (!giveUp.aborted) throw error
    throw busy(
      `The calculation took over ${TIME / 1000} s and was stopped. `
      + 'A wall with fewer screens or readings takes less time.',
    )
  }
}

/** Does what takes long in its turn among all who ask. @throws 503 where too many wait already */
async function inTurn<Result>(event: H3Event | undefined, act: () => Promise<Result>): Promise<Result> {
  try {
    return await turns.take(event ? askerOf(event) : 'server', act)
  }
  catch (error) {
    if (!(error instanceof TooMuch)) throw error
    const own = error.waiting > 0 ? `${error.waiting} of your calculations wait already` : 'The server is busy'
    throw busy(`${own}. Try again in a moment.`)
  }
}

/**
 * What a task takes, or how to get it: what is large is put together when its turn has come, and not before; a long
 * text by pages.
 */
type WhenItIsTime<Input> = {
  [Key in keyof Input]: Input[Key] | (() => Input[Key] | (Input[Key] extends string ? Iterable<string> : never))
}

/** A text from its pages; others are answered between one page and the next. */
export async function textOf(pages: Iterable<string>): Promise<string> {
  const taken: string[] = []
  for (const page of pages) {
    taken.push(page)
    await setImmediate()
  }
  return taken.join('')
}

async function nowOf<Input extends object>(input: WhenItIsTime<Input>): Promise<Input> {
  const given = Object.entries(input).map(async ([key, value]: [string, unknown]) => {
    const now = typeof value === 'function' ? (value as () => unknown)() : value
    const isPages = typeof now === 'object' && now !== null && Symbol.iterator in now && !Array.isArray(now)
    return [key, isPages ? await textOf(now as Iterable<string>) : now]
  })
  return Object.fromEntries(await Promise.all(given)) as Input
}

/**
 * Has a task done in a thread, so that nobody else waits for it, in its turn among all who ask.
 *
 * @param event the request that wants it; absent: the server itself
 * @throws 503 where too many wait already, or where it took too long
 */
export const work = <Name extends TaskName>(
  name: Name, input: WhenItIsTime<InputOf<Name>>, event?: H3Event,
): Promise<AnswerOf<Name>> => {
  const act = async (): Promise<AnswerOf<Name>> => await run(name, await nowOf<InputOf<Name>>(input))
  return inTurn(event, act)
}

/** Has a job file read in a process of its own, in its turn. @throws 503 where it took too long, 413 too much memory */
export const readJob = (file: Uint8Array, event?: H3Event): Promise<FileRead> => inTurn(event, async () => {
  try {
    return await readApart(file)
  }
  catch (error) {
    if (!(error instanceof GivenUp)) throw error
    throw error.late
      ? busy('Reading the file took too long and was stopped.')
      : apiError(413, 'too-large', 'The file takes more memory to read than it may. Import its walls one by one.')
  }
})

/** Ends the threads, and what is read apart. */
export async function endWork(): Promise<void> {
  endReading()
  await pool?.destroy()
  pool = undefined
}
