import { apiError } from '../utils/apiError'
import type { SignedIn } from './sessions'

/** So long after a sign-in or a confirmation a person need not confirm who he is, ms. */
const FRESH = 10 * 60_000

/** When the person of a session last confirmed who he is; a server that starts anew asks again. */
const confirmed = new Map<string, number>()

/** Notes that the person of a session has just confirmed who he is. */
export function confirmSession({ session }: SignedIn, now: Date): void {
  for (const [id, at] of confirmed) if (now.getTime() - at > FRESH) confirmed.delete(id)
  confirmed.set(session, now.getTime())
}

/**
 * Lets through what changes how a person signs in: whoever finds a device signed in may not make himself a way to come
 * back.
 *
 * @throws 403 `confirm` where the person signed in, and confirmed who he is, more than 10 minutes ago
 */
export function checkConfirmed({ session, beganAt }: SignedIn, now: Date): void {
  const last = Math.max(Date.parse(beganAt), confirmed.get(session) ?? 0)
  if (now.getTime() - last <= FRESH) return
  throw apiError(403, 'confirm', 'You signed in more than 10 minutes ago. Confirm first that it is you.')
}
