import type { H3Event } from 'h3'
import { RateLimiterMemory } from 'rate-limiter-flexible'
import { apiError } from '../utils/apiError'

/** How many tries that fail are let through in how many seconds, for each thing that can be guessed. */
const LIMITS = {
  /** One address from one place. */
  password: new RateLimiterMemory({ points: 6, duration: 15 * 60 }),
  /** Any address from one place. */
  place: new RateLimiterMemory({ points: 60, duration: 60 * 60 }),
  /** One address from anywhere, so that many places do not guess together. */
  address: new RateLimiterMemory({ points: 30, duration: 60 * 60 }),
  /** Secrets of links, codes and passkeys from one place. */
  links: new RateLimiterMemory({ points: 20, duration: 10 * 60 }),
}

/** Where a request comes from; behind a proxy that says so, where that one had it from. */
export const clientOf = (event: H3Event): string => getRequestIP(event, { xForwardedFor: process.env.WT_PROXY === '1' }) ?? 'unknown'

/**
 * Does something that can be guessed at; anyone who failed too often waits.
 *
 * @throws 429 with how long to wait, before it is tried; and what `act` throws
 */
export async function limited<Result>(what: keyof typeof LIMITS, who: string, act: () => Result | Promise<Result>): Promise<Result> {
  const limiter = LIMITS[what]
  const known = await limiter.get(who)
  if (known && known.remainingPoints <= 0) {
    const minutes = Math.max(1, Math.ceil(known.msBeforeNext / 60_000))
    throw apiError(429, 'too-many-tries', `Too many failed attempts. Wait ${minutes} ${minutes === 1 ? 'minute' : 'minutes'}, then try again.`)
  }
  try {
    return await act()
  }
  catch (error) {
    const status = (error as { statusCode?: number }).statusCode ?? 500
    if (status >= 400 && status < 500 && status !== 422) await limiter.consume(who).catch(() => {})
    throw error
  }
}
