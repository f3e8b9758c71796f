import type { H3Event } from 'h3'
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible'
import { apiError } from '../utils/apiError'
import { plural } from '../../core/units/plural'

/** How many tries that fail are let through in how many seconds, for each thing that can be guessed. */
const LIMITS = {
  /** One address from one place. */
  password: new RateLimiterMemory({ points: 6, duration: 15 * 60 }),
  /** Any address from one place. */
  place: new RateLimiterMemory({ points: 60, duration: 60 * 60 }),
  /** One address from anywhere: many places that guess together are slowed down, and nobody is locked out for long. */
  address: new RateLimiterMemory({ points: 10, duration: 60 }),
  /** A device on which its person has signed in before: others' guesses do not count for it, nor its own for others. */
  device: new RateLimiterMemory({ points: 10, duration: 15 * 60 }),
  /** Entries of the log by one person: more than a crew records in a week without a signal. */
  entries: new RateLimiterMemory({ points: 3_000, duration: 60 * 60 }),
  /** Secrets of links, codes and passkeys from one place. */
  links: new RateLimiterMemory({ points: 20, duration: 10 * 60 }),
}
type Limited = Exclude<keyof typeof LIMITS, 'entries'>

/**
 * Where a request comes from; behind a proxy that is trusted, where that one had it from: the last hop that is named,
 * as the caller may name others before it.
 */
export function clientOf(event: H3Event): string {
  const hops = process.env.WT_PROXY === '1' ? getHeader(event, 'x-forwarded-for')?.split(',') : undefined
  return hops?.at(-1)?.trim() || getRequestIP(event) || 'unknown'
}

function tooMany(ms: number): Error {
  const [seconds, minutes] = [Math.max(1, Math.ceil(ms / 1000)), Math.ceil(ms / 60_000)]
  const wait = seconds <= 60 ? plural(seconds, 'second') : `${minutes} minutes`
  return Object.assign(apiError(429, 'too-many-tries', `Too many failed attempts. Wait ${wait}, then try again.`), {
    retryAfter: seconds,
  })
}

/** Whether an answer says that a guess was wrong. */
const isWrongGuess = (error: unknown): boolean =>
  [401, 403, 404, 410].includes((error as { statusCode?: number }).statusCode ?? 0)

/**
 * Does something that costs much and can be guessed at. A try counts before it is made, so that many at once are as
 * many; one that was no wrong guess is not counted in the end.
 *
 * @param by each thing that is limited, and whose tries of it count together
 * @throws 429 with how long to wait; and what `act` throws
 */
export async function limited<Result>(by: [Limited, string][], act: () => Promise<Result>): Promise<Result> {
  const counted: [Limited, string][] = []
  const giveBack = () => Promise.all(counted.map(([what, who]) => LIMITS[what].reward(who)))
  try {
    for (const [what, who] of by) {
      await LIMITS[what].consume(who)
      counted.push([what, who])
    }
    const result = await act()
    await giveBack()
    return result
  }
  catch (error) {
    if (!isWrongGuess(error)) await giveBack()
    throw error instanceof RateLimiterRes ? tooMany(error.msBeforeNext) : error
  }
}

/** Counts entries that a person sends. @throws 429 with how long to wait: they wait on the device, and go on */
export async function countEntries(person: string, entries: number): Promise<void> {
  await LIMITS.entries.consume(person, entries).catch((full: RateLimiterRes) => {
    const seconds = Math.ceil(full.msBeforeNext / 1000)
    const message = `More entries than ${LIMITS.entries.points} an hour. They are kept on the device and sent later.`
    throw Object.assign(apiError(429, 'too-many-entries', message), { retryAfter: seconds })
  })
}

/**
 * Looks something up by a secret of its own. A right one always opens, whatever else came from the same place; wrong
 * ones are told nothing more after a while.
 *
 * @throws 429 in place of what `act` throws; and what `act` throws
 */
export async function opened<Result>(event: H3Event, act: () => Result | Promise<Result>): Promise<Result> {
  try {
    return await act()
  }
  catch (error) {
    if (!isWrongGuess(error)) throw error
    const left = await LIMITS.links.consume(clientOf(event)).catch((full: unknown) => full as RateLimiterRes)
    throw left.consumedPoints > LIMITS.links.points ? tooMany(left.msBeforeNext) : error
  }
}
