import { createHash, generateKeyPairSync, sign } from 'node:crypto'
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs'
import { spawn, spawnSync } from 'node:child_process'
import { once } from 'node:events'
import { connect } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import SQLite from 'better-sqlite3'
import type { LogEntry } from '../../core/log'
import { signedText } from '../../core/log/signing'
import { tool, untilAnswering } from '../../scripts/house.mjs'
import { expect, freePort, House, testAlone as test } from '../e2e/house'

const HALL = '/sites/holm-point/walls/ticket-hall'
const JSON_TYPE = { 'content-type': 'application/json' }
const json = (method: string, body: unknown, headers = {}) => ({
  method,
  body: JSON.stringify(body),
  headers: { ...JSON_TYPE, ...headers },
})
const times = <Value>(n: number, act: (n: number) => Value) => Array.from({ length: n }, (_, each) => act(each))
const countOf = (statuses: number[], status: number) => statuses.filter(each => each === status).length

async function idOf(house: House, name: string): Promise<string> {
  const { people } = JSON.parse((await house.api('/people')).body) as { people: { id: string, name: string }[] }
  return people.find(person => person.name === name)!.id
}
const override = (id: string, more: object) => ({
  id,
  at: '2020-01-01T08:00:00Z',
  by: 'x',
  wall: 'ticket-hall',
  kind: 'override',
  code: 'member-unsure',
  subject: 's',
  reason: 'r',
  ...more,
})

test('crew writes nothing as the planner: neither by naming her nor with a key of its own', async ({ house }) => {
  const planner = await idOf(house, 'Isla Brandt')
  const crew = await house.cookieOf('Odd Varga')
  const send = (entry: object) => house.as(crew, `${HALL}/log`, json('POST', entry))
  const named = await send(override('forged-1', { person: planner }))
  expect([named.status, JSON.parse(named.body).setAside]).toEqual([202, expect.stringContaining('nothing proves that')])
  const pair = generateKeyPairSync('ec', { namedCurve: 'P-256' })
  const { x, y } = pair.publicKey.export({ format: 'jwk' })
  const registered = await house.as(crew, '/session/key', json('PUT', { key: { kty: 'EC', crv: 'P-256', x, y } }))
  const key = createHash('sha256').update(`{"crv":"P-256","kty":"EC","x":"${x}","y":"${y}"}`).digest('base64url')
  expect(JSON.parse(registered.body)).toEqual({ key })
  const told = override('forged-2', { person: planner, key }) as unknown as LogEntry
  const sig = sign('sha256', Buffer.from(signedText(told)), { key: pair.privateKey, dsaEncoding: 'ieee-p1363' })
  const signed = await send({ ...told, sig: sig.toString('base64url') })
  expect([signed.status, JSON.parse(signed.body).setAside]).toEqual([
    202,
    expect.stringContaining('not of what it says'),
  ])
  expect((await house.wall()).job.log.filter(({ id }: LogEntry) => id.startsWith('forged'))).toEqual([])
})

test('a mark-out that does not follow from the saved wall waits for a planner', async ({ house }) => {
  const { job } = await house.wall('stennick', 'departures-row')
  const [wall] = job.walls
  const last = job.log.findLast(({ kind }: LogEntry) => kind === 'issued')
  const changed = { ...wall, name: 'Never saved' }
  const input = JSON.stringify({ job: { ...job, walls: [changed] }, after: last?.frozen })
  const frozen = JSON.parse(spawnSync(tool('tsx'), ['tests/attack/freezer.ts'], { input, encoding: 'utf8' }).stdout)
  const at = '/sites/stennick/walls/departures-row'
  const posted = await house.api(`${at}/revisions`, json('POST', frozen))
  const letter = String.fromCharCode(
    'A'.charCodeAt(0) + job.log.filter(({ kind }: LogEntry) => kind === 'issued').length,
  )
  const issued = {
    id: 'i1',
    at: new Date().toISOString(),
    by: 'x',
    wall: 'departures-row',
    kind: 'issued',
    revision: letter,
    frozen: frozen.id,
  }
  const answer = await house.api(`${at}/log`, json('POST', issued))
  expect([posted.status, answer.status, JSON.parse(answer.body).setAside]).toEqual([
    201,
    202,
    expect.stringContaining('its design of the wall'),
  ])
  const elsewhere = await house.api(`${HALL}/revisions`, json('POST', frozen))
  expect(elsewhere.status).toBe(422)
})

test('ten imports of one archive at once: one site with all its pictures @long', async ({ house }) => {
  const archive = await house.file('/sites/holm-point/archive')
  const other = await House.open(undefined, false)
  const code = await other.codeForFirm()
  const person = { firm: 'Fitters', name: 'Eve', address: 'eve@fitters.example', password: 'tide cranes quietly' }
  const begun = await fetch(`${other.address}/api/firm`, json('POST', { code, ...person }))
  other.cookie = begun.headers.getSetCookie().map(each => each.split(';')[0]).join('; ')
  const statuses = await Promise.all(
    times(
      10,
      async () =>
        (
          await other.api('/sites/archive', {
            method: 'POST',
            body: new Uint8Array(archive),
            headers: { 'content-type': 'application/zip' },
          })
        ).status,
    ),
  )
  expect([countOf(statuses, 201), countOf(statuses, 409)]).toEqual([1, 9])
  const { job } = JSON.parse((await other.api(HALL)).body)
  const photos = [...JSON.stringify(job).matchAll(/"photo":"([^"]+)"/g)].map(([, photo]) => photo)
  for (const photo of photos) expect((await other.api(`/sites/holm-point/photos/${photo}`)).status).toBe(200)
  expect(readdirSync(join(other.data, 'incoming'))).toEqual([])
  await other.close()
})

test('a job file of countless or bottomless values is refused in a process that ends', async ({ house }) => {
  const childrenOf = () => readFileSync(`/proc/${house.pid}/task/${house.pid}/children`, 'utf8').trim()
  for (const [body, words] of [
    [`[${'{},'.repeat(31_000_000)}0]`, 'has more than 5000000 values'],
    ['['.repeat(1_000_000), 'is nested deeper than 64 levels'],
  ] as const) {
    const answer = house.api('/sites/import', { method: 'POST', headers: JSON_TYPE, body })
    const beside = await house.api('/sites')
    const { status, body: said } = await answer
    expect([beside.status, status, said]).toEqual([200, 422, expect.stringContaining(words)])
  }
  // One may wait for the next file: it has read none, and is small.
  await expect.poll(() => childrenOf().split(' ').filter(Boolean).length).toBeLessThanOrEqual(1)
  for (const pid of childrenOf().split(' ').filter(Boolean)) {
    const memory = Number(/VmHWM:\s+(\d+) kB/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1])
    expect(memory).toBeLessThan(200_000)
  }
})

test('large bodies, many entries and many streams of one person are refused, and others go on', async ({ house }) => {
  const lists = `[${'[],'.repeat(1_600_000)}0]`
  const anonymous = await fetch(`${house.address}/api/session`, { method: 'POST', headers: JSON_TYPE, body: lists })
  const signedIn = await house.api(`${HALL}/log`, { method: 'POST', body: lists })
  expect([anonymous.status, signedIn.status]).toEqual([413, 413])
  const remarks = (n: number) => ({
    entries: times(500, m => ({
      id: `m${n}-${m}`,
      at: '2026-11-20T08:00:00Z',
      by: 'x',
      wall: 'ticket-hall',
      kind: 'remark',
      note: 'x',
    })),
  })
  const crew = await house.cookieOf('Odd Varga')
  const sent = await Promise.all(times(8, n => house.as(crew, `${HALL}/log`, json('POST', remarks(n)))))
  expect([
    countOf(
      sent.map(({ status }) => status),
      200,
    ),
    countOf(
      sent.map(({ status }) => status),
      429,
    ),
  ]).toEqual([6, 2])
  expect(sent.find(({ status }) => status === 429)!.headers.get('retry-after')).toMatch(/^\d+$/)
  expect((await house.api(`${HALL}/log`, json('POST', remarks(9)))).status).toBe(200)
  const stop = new AbortController()
  const streams = await Promise.all(
    times(10, () => fetch(`${house.address}/api${HALL}/events`, { headers: { cookie: crew }, signal: stop.signal })),
  )
  expect(countOf(streams.map(({ status }) => status), 429)).toBe(2)
  stop.abort()
})

test('guesses at once are as many as one after another, and lock no device out on which its person signed in', async ({
  house,
}) => {
  const { address } = JSON.parse(
    (
      await house.api(
        '/people/invitations',
        json('POST', { name: 'Nils Aune', address: 'nils@x.example', role: 'crew', sites: [] }),
      )
    ).body,
  )
  const password = 'tide cranes quietly'
  const joined = await fetch(
    `${house.address}/api/invitations/${address.split('/').at(-1)}`,
    json('POST', { name: 'Nils Aune', password }),
  )
  const device = joined.headers
    .getSetCookie()
    .find(each => each.startsWith('wide-trellis-device='))!
    .split(';')[0]!
  const tryIt = (password: string, headers = {}) =>
    fetch(`${house.address}/api/session`, json('POST', { address: 'nils@x.example', password }, headers)).then(
      ({ status }) => status,
    )
  const statuses = await Promise.all(times(60, n => tryIt(`guess ${n} of sixty`)))
  expect([countOf(statuses, 401), countOf(statuses, 429)]).toEqual([6, 54])
  expect([await tryIt(password), await tryIt(password, { cookie: device })]).toEqual([429, 200])
})

test('who is removed comes back by no invitation that he made', async ({ house }) => {
  const make = async (who: string, name: string, role: string) =>
    JSON.parse(
      (
        await house.as(
          who,
          '/people/invitations',
          json('POST', { name, address: `${name.replace(' ', '.')}@x.example`, role, sites: [] }),
        )
      ).body,
    )
      .address.split('/')
      .at(-1) as string
  const joined = await fetch(
    `${house.address}/api/invitations/${await make('Isla Brandt', 'Mal Odd', 'planner')}`,
    json('POST', { name: 'Mal Odd', password: 'tide cranes quietly' }),
  )
  const cookie = joined.headers.getSetCookie().map(each => each.split(';')[0]).join('; ')
  const again = await make(cookie, 'Mal Again', 'planner')
  const { status } = await house.api(`/people/${await idOf(house, 'Mal Odd')}`, json('DELETE', {}))
  const opened = await fetch(`${house.address}/api/invitations/${again}`)
  expect([status, opened.status]).toEqual([200, 410])
})

test('the server says little of itself, keeps its files to itself, and runs from any folder', async ({ house }) => {
  const page = await fetch(`${house.address}/sign-in`)
  expect(page.headers.get('x-powered-by')).toBeNull()
  expect((await fetch(`${house.address}/api/sites/holm-point`, { method: 'DELETE' })).status).toBe(405)
  const demo = await fetch(
    `${house.address}/api/session/demo`,
    json('POST', { person: 'Isla Brandt' }, { 'x-forwarded-for': '192.0.2.7' }),
  )
  expect(demo.status).toBe(403)
  const settings = JSON.parse((await house.as('Jun Petrie', '/programme')).body)
  expect(JSON.stringify(settings)).not.toContain('stennick')
  await house.stop()
  mkdirSync(join(house.data, 'incoming', 'left'), { recursive: true })
  const [cwd, port] = [mkdtempSync(join(tmpdir(), 'wide-trellis-cwd-')), await freePort()]
  const server = spawn(process.execPath, [resolve('.output/server/index.mjs')], {
    cwd,
    env: { ...process.env, PORT: String(port), WT_DATA: house.data, WT_DEMO: '1' },
    stdio: 'ignore',
  })
  await untilAnswering(server, `http://localhost:${port}`)
  expect(readdirSync(house.data)).not.toContain('incoming')
  expect(statSync(house.data).mode & 0o077).toBe(0)
  server.kill()
  rmSync(cwd, { recursive: true })
})

test('who finds a device signed in makes himself no way to come back: who it is is asked again', async ({ house }) => {
  const cookie = await house.cookieOf('Odd Varga')
  const ask = (method: string, path: string, body: object) => house.as(cookie, path, json(method, body))
  const passkey = () => ask('POST', '/account/passkeys', { user: { userName: 'odd' }, verify: false })
  expect((await passkey()).status).toBe(200)
  const password = 'tide cranes quietly'
  const longAgo = () => {
    const accounts = new SQLite(join(house.data, 'accounts.db'))
    accounts.exec(`UPDATE sessions SET began_at = '2026-01-01T00:00:00Z'`)
    accounts.close()
  }
  longAgo()
  const first = await ask('PUT', '/account/password', { next: password })
  expect([first.status, JSON.parse(first.body).error.code]).toEqual([403, 'confirm'])
  // He signs in anew, and sets one at once.
  const fresh = await house.cookieOf('Odd Varga')
  const set = await house.as(fresh, '/account/password', json('PUT', { next: password }))
  expect(set.status).toBe(200)
  longAgo()
  const late = (path: string, method: string, body: object) => house.as(fresh, path, json(method, body))
  const denied = await late('/account/passkeys', 'POST', { user: { userName: 'odd' }, verify: false })
  expect([denied.status, denied.body]).toEqual([403, expect.stringContaining('Confirm first that it is you')])
  const wrong = await late('/session/confirmation', 'POST', { password: 'not this one at all' })
  expect([wrong.status, JSON.parse(wrong.body).error.code]).toEqual([403, 'wrong-password'])
  expect((await late('/session/confirmation', 'POST', { password })).status).toBe(200)
  const again = await late('/account/passkeys', 'POST', { user: { userName: 'odd' }, verify: false })
  expect(again.status).toBe(200)
})

test('a request that comes half and then nothing more is closed @long', async ({ house }) => {
  const { port } = new URL(house.address)
  const socket = connect(Number(port), 'localhost')
  const closed = once(socket, 'close')
  const head = 'POST /api/session HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 900'
  socket.write(`${head}\r\n\r\n{"address":`)
  socket.on('error', () => undefined)
  expect(await Promise.race([closed.then(() => 'closed'), new Promise(done => setTimeout(done, 60_000, 'open'))]))
    .toBe('closed')
  expect((await fetch(`${house.address}/api/session`)).status).toBe(200)
})
