import type { H3Event } from 'h3'
import { may, RIGHTS, ROLE_WORDS, whoMay, type Action } from '../../core/people'
import { firmOfId, listFirms } from '../accounts/firms'
import { accounts, databaseOfFirm } from '../accounts/open'
import { grantsOf } from '../accounts/people'
import { openSession, type Ended, type SignedIn } from '../accounts/sessions'
import type { Database } from '../database/perDatabase'
import { isHandedOver, siteHandedOver } from '../repositories/closed'
import { firmOfSecret, openLink } from '../repositories/links'
import { siteOfId } from '../repositories/siteRows'
import { apiError, notFound } from '../utils/apiError'
import { opened } from './limits'
import { isByLink, ROUTE_RIGHTS, SENT_LATE } from './rights'
import type { RouteFound } from './routes'
import { timeNow, unseenFor } from '../utils/clock'

const SIGN_IN: Record<Ended['ended'], string> = {
  unknown: 'This device was signed in on another server, or too long ago. Sign in here.',
  ended: 'The session of this device was revoked. Sign in again: unsent work is kept.',
  idle: 'This device has not connected for longer than the firm allows. Sign in again: unsent work is kept.',
}

/** Which session a sealed cookie names: what was unsealed once need not be again, as the same text says the same. */
const unsealed = new Map<string, string>()
const AT_HAND = 5_000

async function sessionIdOf(event: H3Event, cookie: string): Promise<string | undefined> {
  const known = unsealed.get(cookie)
  if (known !== undefined) return known
  const { secure } = await getUserSession(event)
  if (!secure) return undefined
  if (unsealed.size >= AT_HAND) unsealed.delete(unsealed.keys().next().value!)
  unsealed.set(cookie, secure.session)
  return secure.session
}

/**
 * Who is signed in where a request comes from, as it stands at this moment; undefined where it says nothing of that.
 */
async function sessionOf(event: H3Event): Promise<SignedIn | Ended | undefined> {
  const cookie = getCookie(event, SESSION_COOKIE)
  if (cookie === undefined) return undefined
  const id = await sessionIdOf(event, cookie)
  return id === undefined ? { ended: 'unknown' } : openSession(accounts(), id, timeNow(), unseenFor)
}

/**
 * A client comes by the secret in the address: its firm is found, and what it opens. Tries that open nothing are
 * limited.
 */
async function byLink(event: H3Event, secret: string): Promise<void> {
  await opened(event, () => {
    const { firm: id, secret: rest } = firmOfSecret(secret)
    const firm = id === undefined ? listFirms(accounts())[0] : firmOfId(accounts(), id)
    if (!firm) throw notFound('this link. Ask the sender for a new one')
    const db = databaseOfFirm(firm)
    event.context.opened = openLink(db, rest, timeNow())
    event.context.firm = { firm, db }
  })
}

/**
 * The site that a request is about, and whether it, or the wall, was handed over. @throws 404 where the firm has no
 * such site
 */
function placeOf(db: Database, { site, wall }: Record<string, string>): { site: string, closed: boolean } | undefined {
  if (site === undefined) return undefined
  const row = siteOfId(db).get({ id: site })
  if (!row) throw notFound('this site')
  return { site: row.id, closed: wall === undefined ? siteHandedOver(db, row.key) : isHandedOver(db, row.key, wall) }
}

/**
 * Lets in who may do what a request wants, and notes who that is; what is not his to see is answered as if it were not
 * there.
 *
 * @throws 401 where nobody is signed in, 403 where he may not do it, 404 for what he does not see
 */
export async function authorize(event: H3Event, { method, route, params }: RouteFound): Promise<void> {
  const wanted = ROUTE_RIGHTS[`${method} ${route}`]
  if (wanted === undefined)
    throw apiError(403, 'no-right', 'This action is not allowed: the route is missing from the table of rights.')
  if (isByLink(wanted)) return byLink(event, params.secret!)
  const session = await sessionOf(event)
  if (session && !('ended' in session)) {
    event.context.signedIn = session
    if (wanted !== 'anybody' || route === '/api/session')
      event.context.firm = { firm: session.firm, db: databaseOfFirm(session.firm) }
  }
  if (wanted === 'anybody') {
    if (session && 'ended' in session) event.context.sessionEnded = SIGN_IN[session.ended]
    return
  }
  if (!session) throw apiError(401, 'sign-in', 'Sign in first.')
  if ('ended' in session) throw apiError(401, `session-${session.ended}`, SIGN_IN[session.ended])
  return mayAct(event, session, wanted, { method, route, params })
}

/** @throws 403 where the person may not do it, 404 for what he does not see */
function mayAct(event: H3Event, session: SignedIn, wanted: Action, { method, route, params }: RouteFound): void {
  const place = placeOf(event.context.firm!.db, params)
  const held = SENT_LATE.has(`${method} ${route}`) ? grantsOf(accounts(), session.person.key) : [session.held]
  if (held.some(each => may(each, wanted, place))) return
  // What a person does not even read is not there for him.
  if (place && !may(session.held, 'site.read', place))
    throw notFound(params.wall === undefined ? 'this site' : 'this wall on this site')
  throw apiError(
    403,
    'not-yours',
    `${ROLE_WORDS[session.held.role].title} cannot ${RIGHTS[wanted].title}: ask ${whoMay(wanted)}.`,
  )
}
