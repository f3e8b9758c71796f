import { apiError } from '../utils/apiError'

/** Making a hash takes a thread of the runtime: so many at once leave others for photos and files. */
const AT_ONCE = { strangers: 2, known: 1 }
/** So many wait at most. */
const WAITING = 20
const RETRY_AFTER = 5

/** Who asks: a device on which its person has signed in before does not wait behind others. */
export type Lane = keyof typeof AT_ONCE

const running: Record<Lane, number> = { strangers: 0, known: 0 }
const waiting: Record<Lane, (() => void)[]> = { strangers: [], known: [] }

/**
 * Makes or compares the hash of a password in its turn.
 *
 * @throws 503 where too many wait already; and what `act` throws
 */
export async function hashing<Result>(lane: Lane, act: () => Promise<Result>): Promise<Result> {
  if (running[lane] >= AT_ONCE[lane]) {
    if (waiting[lane].length >= WAITING) {
      throw Object.assign(apiError(503, 'busy', 'Many people are signing in. Try again in a moment.'), {
        retryAfter: RETRY_AFTER,
      })
    }
    await new Promise<void>(turn => waiting[lane].push(turn))
  }
  else running[lane]++
  try {
    return await act()
  }
  finally {
    const next = waiting[lane].shift()
    // The next one takes over the place.
    if (next) next()
    else running[lane]--
  }
}
