import { unsealSession, updateSession, type H3Event } from 'h3'
import { isTls } from './isTls'

/** People who have signed in on a device, by their ids, sealed in a cookie that only signing in sends. */
interface Known { people?: string[] }

const COOKIE = 'wide-trellis-device'
const YEAR = 365 * 24 * 3600
/** So many people are remembered on one device, those who signed in last. */
const MOST = 8

const config = (event: H3Event) => ({
  name: COOKIE,
  password: useRuntimeConfig(event).session.password,
  maxAge: YEAR,
  cookie: { path: '/api/session', httpOnly: true, sameSite: 'strict' as const, secure: isTls(event) },
})

/** The device that asks, where people have signed in on it before: its own id, and who they are. */
export async function knownDevice(event: H3Event): Promise<{ id: string, people: string[] } | undefined> {
  const sealed = getCookie(event, COOKIE)
  if (sealed === undefined) return undefined
  const { id, data } = await unsealSession(event, config(event), sealed).catch(() => ({
    id: undefined,
    data: undefined,
  }))
  const people = (data as Known | undefined)?.people
  return typeof id === 'string' && people ? { id, people } : undefined
}

/** Notes that a person has signed in on the device that asks. */
export async function rememberDevice(event: H3Event, person: string): Promise<void> {
  const known = (await knownDevice(event))?.people ?? []
  const people = [person, ...known.filter(each => each !== person)].slice(0, MOST)
  await updateSession<Known>(event, config(event), { people })
}
