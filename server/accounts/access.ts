import type { H3Event } from 'h3'
import type { Database } from '../database/perDatabase'
import { may, reachOf } from '../../core/people'
import { wallsHandedOver } from '../repositories/closed'
import type { Opened } from '../repositories/links'
import { apiError } from '../utils/apiError'
import type { Firm } from './firms'
import type { SignedIn } from './sessions'

declare module 'h3' {
  interface H3EventContext {
    /** Who asks, where a person is signed in. */
    signedIn?: SignedIn
    /** Why the session of the device that asks lets nobody in. */
    sessionEnded?: string
    /** The firm that is asked about, by a session or by a client's link, and its database. */
    firm?: { firm: Firm, db: Database }
    /** The wall that a client's link opens. */
    opened?: Opened
  }
}

/** Who asks. @throws 401 where nobody is signed in */
export function signedIn({ context }: H3Event): SignedIn {
  if (!context.signedIn) throw apiError(401, 'sign-in', 'Sign in first.')
  return context.signedIn
}

/** The name of who asks: what he does is kept under it, whatever the request says. */
export const author = (event: H3Event): string => signedIn(event).person.name

function firmAsked({ context }: H3Event): { firm: Firm, db: Database } {
  if (!context.firm) throw apiError(401, 'sign-in', 'Sign in first.')
  return context.firm
}

/** The database of the firm that is asked about. @throws 401 where none is */
export const database = (event: H3Event): Database => firmAsked(event).db

/** The firm that is asked about. @throws 401 where none is */
export const firmOf = (event: H3Event): Firm => firmAsked(event).firm

/** The wall that the client's link of this request opens. */
export function openedLink({ context }: H3Event): Opened {
  if (!context.opened) throw apiError(404, 'not-found', 'Nothing was found at this address.')
  return context.opened
}

/** Which sites, and which of their walls, the caller sees. */
export function seenBy(event: H3Event): (site: { key: number, id: string }) => ((wall: string) => boolean) | undefined {
  const [{ held }, db] = [signedIn(event), database(event)]
  if (reachOf(held.role, 'site.read') !== 'closed')
    return ({ id }) => (may(held, 'site.read', { site: id }) ? () => true : undefined)
  return ({ key }) => {
    const closed = wallsHandedOver(db, key)
    return closed.size > 0 ? wall => closed.has(wall) : undefined
  }
}
