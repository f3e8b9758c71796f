import type { H3Event } from 'h3'
import { beginSession, type Way } from '../accounts/sessions'
import { accounts } from '../accounts/open'
import type { Person } from '../accounts/people'
import { isTls } from './isTls'
import { rememberDevice } from './knownDevice'
import { now } from './now'

declare module '#auth-utils' {
  interface SecureSessionData {
    /** Id of the session, which the server can end. */
    session: string
  }
}

export const SESSION_COOKIE = 'wide-trellis'
/** The cookie goes after so long whatever the firm allows, s. */
const LONGEST = 365 * 24 * 3600

/** Signs a person in on the device that asks. */
export async function signIn(event: H3Event, person: Person, way: Way): Promise<void> {
  const session = beginSession(accounts(), person, way, getHeader(event, 'user-agent') ?? 'Unknown device', now())
  await rememberDevice(event, person.id)
  await replaceUserSession(event, { secure: { session } }, {
    maxAge: LONGEST,
    cookie: { secure: isTls(event) },
  } as never)
}
