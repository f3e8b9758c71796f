import { readdirSync } from 'node:fs'
import { may, type Held } from '../../core/people/rights'
import { isByLink, ROUTE_RIGHTS, SENT_LATE, type Wanted } from '../../server/guard/rights'
import { expect, House, testAlone as test } from '../e2e/house'

interface Route { key: string, method: string, route: string, wanted: Wanted | undefined }

/** Every route of the server, read off the files that are there. */
const ROUTES: Route[] = readdirSync('server/api', { recursive: true, withFileTypes: true })
  .filter(entry => entry.isFile())
  .map((entry) => {
    const [, path, method] = /^(.*?)(?:\/index)?\.(get|post|put|delete)\.ts$/.exec(
      `${entry.parentPath}/${entry.name}`.replace('server', ''),
    )!
    const route = path!.replace(/\[(\w+)\]/g, ':$1')
    return {
      key: `${method!.toUpperCase()} ${route}`,
      method: method!.toUpperCase(),
      route,
      wanted: ROUTE_RIGHTS[`${method!.toUpperCase()} ${route}`],
    }
  })
const WALLS = [['holm-point', 'ticket-hall'], ['stennick', 'departures-row'], ['ravel-sands', 'lounge']] as const
const PEOPLE: Record<string, Held> = {
  'Isla Brandt': { role: 'planner', sites: [] },
  'Ranveig Holt': { role: 'lead', sites: ['stennick'] },
  'Odd Varga': { role: 'crew', sites: ['holm-point', 'stennick'] },
  'Tove Marsh': { role: 'service', sites: [] },
}

/** What comes of asking at the door: let in, not seen, seen and refused, or first to sign in. */
type Door = 'in' | 'unseen' | 'refused' | 'sign-in' | 'limited'

async function door(
  house: House,
  cookie: string,
  { method, route }: Route,
  [site, wall]: readonly [string, string],
): Promise<Door> {
  const path = route.replace(':site', site).replace(':wall', wall).replace(':kind', 'display').replace(/:\w+/g, 'none')
  // What is sent is nothing that could be kept, so that whoever is let in changes nothing.
  const type = /\/(?:photos|files)$/.test(route)
    ? 'application/octet-stream'
    : route.endsWith('/archive') && method === 'POST'
      ? 'application/zip'
      : 'application/json'
  const stop = new AbortController()
  const answer = await fetch(`${house.address}${path}${method === 'GET' ? '?format=none&as=none' : ''}`, {
    method,
    signal: stop.signal,
    ...(method !== 'GET' && { body: route.endsWith('/log') ? '{"entries":[]}' : '{}' }),
    headers: {
      cookie,
      ...(method !== 'GET' && {
        'content-type': type,
        ...(route.endsWith('/photos') && { 'x-wide-trellis': 'photograph' }),
        ...(route.endsWith('/files') && { 'x-wide-trellis': 'file' }),
      }),
    },
  })
  const { error } = answer.headers.get('content-type')?.startsWith('application/json')
    ? ((await answer.json()) as { error?: { code: string, message: string } })
    : { error: undefined }
  stop.abort()
  expect([path, answer.status]).not.toEqual([path, 500])
  if (error?.code === 'not-yours') return 'refused'
  if (error?.code === 'sign-in' || error?.code.startsWith('session-')) return 'sign-in'
  if (error?.code === 'too-many-tries') return 'limited'
  return answer.status === 404
    && /Not found: (this site|this wall on this site|this link\. Ask )/.test(error?.message ?? '')
    ? 'unseen'
    : 'in'
}

function expected({ wanted, route, key }: Route, held: Held | undefined, [site]: readonly [string, string]): Door {
  if (wanted === 'anybody') return key.includes('/invitations/') ? 'unseen' : 'in'
  if (isByLink(wanted!)) return 'unseen'
  if (!held) return 'sign-in'
  if (!route.includes(':site')) return may(held, wanted!) ? 'in' : 'refused'
  const place = { site, closed: site === 'ravel-sands' }
  if (may(held, wanted!, place)) return 'in'
  return may(held, 'site.read', place) ? 'refused' : 'unseen'
}

test('every route has a line in the table of rights, and every line a route', () => {
  expect(ROUTES.filter(({ wanted }) => wanted === undefined).map(({ key }) => key)).toEqual([])
  expect(Object.keys(ROUTE_RIGHTS).filter(key => !ROUTES.some(route => route.key === key))).toEqual([])
  expect(ROUTES.length).toBeGreaterThan(60)
})

test('every route lets in whom the table lets in, and nobody else: as every role, and without a session', async ({
  house,
}) => {
  test.slow()
  const { people } = JSON.parse((await house.api('/people')).body) as { people: { id: string, name: string }[] }
  const ranveig = people.find(({ name }) => name === 'Ranveig Holt')!
  expect(
    (await house.api(`/people/${ranveig.id}`, { method: 'PUT', body: JSON.stringify(PEOPLE['Ranveig Holt']) })).status,
  ).toBe(200)
  const wrong: string[] = []
  // Guessing at links is limited: those routes are asked a few times only.
  const guessed = ROUTES.filter(
    ({ wanted, key }) =>
      (wanted !== 'anybody' && isByLink(wanted!)) || /invitations\/:secret|passkey$|api\/firm$/.test(key),
  )
  for (const [name, held] of [...Object.entries(PEOPLE), ['nobody', undefined] as const]) {
    const session = held ? await house.cookieOf(name) : ''
    for (const place of WALLS) {
      for (const route of ROUTES) {
        if (place !== WALLS[0] && !route.route.includes(':site')) continue
        if (guessed.includes(route) && name !== 'nobody') continue
        // One route ends the session that asks.
        const cookie = held ? (route.key === 'DELETE /api/session' ? await house.cookieOf(name) : session) : ''
        const [is, should] = [await door(house, cookie, route, place), expected(route, held, place)]
        // Ranveig was on every site once: what comes late of that is looked at entry by entry.
        const late = SENT_LATE.has(route.key) && name === 'Ranveig Holt' && is === 'in'
        if (is !== should && !late) wrong.push(`${name} ${route.key} at ${place.join('/')}: ${is}, should be ${should}`)
      }
    }
  }
  expect(wrong).toEqual([])
})

test('nothing of a firm is seen by another: not by any route, not by any name', async ({ house }) => {
  const code = await house.codeForFirm()
  const begun = await fetch(`${house.address}/api/firm`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      code,
      firm: 'Other Fitters',
      name: 'Eve Other',
      address: 'isla@brandt-holt.example',
      password: 'a long enough one',
    }),
  })
  expect(begun.status).toBe(201)
  const cookie = begun.headers
    .getSetCookie()
    .map(each => each.split(';')[0]!)
    .find(each => each.startsWith('wide-trellis='))!
  for (const place of WALLS) {
    for (const route of ROUTES.filter(({ route }) => route.includes(':site')))
      expect([route.key, await door(house, cookie, route, place)]).toEqual([route.key, 'unseen'])
  }
  const { people } = JSON.parse((await house.api('/people')).body) as { people: { id: string }[] }
  const sessions = JSON.parse((await house.api('/audit/sessions')).body) as { id: string }[]
  for (const path of [
    '/sites',
    '/people',
    '/audit',
    '/audit/sessions',
    '/set-aside',
    '/firm',
    '/rules',
    '/catalogue',
    '/account',
  ]) {
    const { status, body } = await house.as(cookie, path)
    expect(status).toBe(200)
    for (const word of [
      'Holm Point',
      'Stennick',
      'Ravel Sands',
      'Ranveig',
      'Odd Varga',
      'Brandt & Holt',
      ...people.map(({ id }) => id),
    ])
      expect([path, body.includes(word)]).toEqual([path, false])
  }
  // Ids that are known from elsewhere lead nowhere.
  for (const [method, path] of [
    ['PUT', `/people/${people[0]!.id}`],
    ['DELETE', `/people/${people[0]!.id}`],
    ['POST', `/people/${people[0]!.id}/reset`],
    ['DELETE', `/audit/sessions/${sessions[0]!.id}`],
  ] as const) {
    expect([
      path,
      (await house.as(cookie, path, { method, body: JSON.stringify({ role: 'crew', sites: [] }) })).status,
    ]).toEqual([path, 404])
  }
  // A site of the same name is another site, with pictures of its own.
  const job = (await house.api('/sites/holm-point/job')).body
  expect((await house.as(cookie, '/sites/import', { method: 'POST', body: job })).status).toBe(201)
  const { job: theirs, version } = JSON.parse((await house.as(cookie, '/sites/holm-point/walls/ticket-hall')).body)
  expect(
    (
      await house.as(cookie, '/sites/holm-point/walls/ticket-hall', {
        method: 'PUT',
        body: JSON.stringify({ wall: { ...theirs.walls[0], height: 3333 }, version }),
      })
    ).status,
  ).toBe(200)
  expect((await house.wall()).job.walls[0].height).toBe(3300)
})

test('a session of another server, or a cookie that somebody wrote, lets nobody in and is told in words', async ({
  house,
}) => {
  const other = await House.open()
  for (const cookie of [other.cookie, 'wide-trellis=made-up', `${house.cookie}x`]) {
    const { status, body } = await house.as(cookie, '/sites')
    expect([status, JSON.parse(body).error]).toEqual([
      401,
      { code: 'session-unknown', message: expect.stringContaining('Sign in here') },
    ])
  }
  await other.close()
})

test('whoever guesses is slowed down, and whoever knows is let in all the same from elsewhere', async ({ house }) => {
  const post = async (path: string, body: object) => {
    const answer = await fetch(`${house.address}/api${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
    return { status: answer.status, error: (await answer.json() as { error?: { message: string } }).error }
  }
  for (let n = 0; n < 6; n++)
    expect(await post('/session', { address: 'isla@brandt-holt.example', password: `guess ${n}` })).toMatchObject({
      status: 401,
      error: { message: expect.stringContaining('The address or the password is wrong') },
    })
  expect(await post('/session', { address: 'isla@brandt-holt.example', password: 'guess' })).toMatchObject({
    status: 429,
    error: { message: expect.stringMatching(/Wait \d+ minutes?/) },
  })
  // Another address is not slowed down by it, and one that is not there is answered as one that is.
  expect(await post('/session', { address: 'nobody@brandt-holt.example', password: 'guess' })).toMatchObject({
    status: 401,
    error: { message: expect.stringContaining('The address or the password is wrong') },
  })
  for (let n = 0; n < 20; n++) expect((await fetch(`${house.address}/api/handover/guess-${n}`)).status).toBe(404)
  expect((await fetch(`${house.address}/api/handover/guess`)).status).toBe(429)
  const failed = JSON.parse((await house.api('/audit')).body).filter(
    ({ kind }: { kind: string }) => kind === 'sign-in-failed',
  )
  expect(failed).toHaveLength(6)
})
