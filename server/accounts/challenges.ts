/** What a device was asked to sign with a passkey, until it answers: once, and within this time, ms. */
const HOLDS = 5 * 60_000
const MOST = 10_000
const open = new Map<string, { challenge: string, until: number }>()

export function keepChallenge(attempt: string, challenge: string, now = Date.now()): void {
  for (const [id, { until }] of open) if (until < now || open.size >= MOST) open.delete(id)
  open.set(attempt, { challenge, until: now + HOLDS })
}

/** What was asked in an attempt, which is thereby over; empty where nothing was, or too long ago. */
export function challengeOf(attempt: string, now = Date.now()): string {
  const found = open.get(attempt)
  open.delete(attempt)
  return found && found.until >= now ? found.challenge : ''
}
