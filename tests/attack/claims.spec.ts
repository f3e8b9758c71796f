import { join } from 'node:path'
import SQLite from 'better-sqlite3'
import type { LogEntry } from '../../core/log'
import { expect, type House, testAlone as test } from '../e2e/house'

const HALL = '/sites/holm-point/walls/ticket-hall'
const DAY = 86_400_000
const json = (method: string, body: unknown) =>
  ({ method, body: JSON.stringify(body), headers: { 'content-type': 'application/json' } })
const remark = (id: string, at = new Date().toISOString()) =>
  ({ id, at, by: 'x', wall: 'ticket-hall', kind: 'remark', note: 'x' })
const codeOf = ({ body }: { body: string }) => JSON.parse(body).error?.code as string | undefined

/** A person of a role who has just joined: his session. */
async function joined(house: House, name: string, role: string): Promise<string> {
  const address = `${name.replace(' ', '.')}@x.example`
  const invited = await house.api('/people/invitations', json('POST', { name, address, role, sites: ['holm-point'] }))
  const secret = (JSON.parse(invited.body).address as string).split('/').at(-1)!
  const answer = await fetch(
    `${house.address}/api/invitations/${secret}`, json('POST', { name, password: 'tide cranes quietly' }),
  )
  return answer.headers.getSetCookie().map(each => each.split(';')[0]).join('; ')
}

/** Starts the server anew as if it had gone on so long after its devices were seen last; back where it is negative. */
async function startLater(house: House, ms: number) {
  await house.stop()
  const accounts = new SQLite(join(house.data, 'accounts.db'))
  accounts.prepare('UPDATE sessions SET seen_at = ?').run(new Date(Date.now() - ms).toISOString())
  accounts.close()
  await house.start()
}

test('a lead who was demoted takes on no stop any more, whatever the hour that he says it was', async ({ house }) => {
  const earlier = new Date().toISOString()
  const lead = await joined(house, 'Lea Lund', 'lead')
  const takesOn = (id: string) => house.as(lead, `${HALL}/log`, json('POST', {
    ...remark(id, earlier), kind: 'override', code: 'member-unsure', subject: 's', reason: 'r',
  }))
  expect((await takesOn('before')).status).toBe(201)
  const { people } = JSON.parse((await house.api('/people')).body) as { people: { id: string, name: string }[] }
  const { id } = people.find(({ name }) => name === 'Lea Lund')!
  expect((await house.api(`/people/${id}`, json('PUT', { role: 'crew', sites: ['holm-point'] }))).status).toBe(200)
  const late = await takesOn('after')
  expect([late.status, JSON.parse(late.body).setAside]).toEqual([202, expect.stringContaining('Lea Lund was')])
  const ids = (await house.wall()).job.log.map((entry: LogEntry) => entry.id)
  expect([ids.includes('before'), ids.includes('after')]).toEqual([true, false])
})

test('a client signs once by his link, as the client whatever he types, and with no more ink than a signature', async ({
  house,
}) => {
  const made = await house.api(`${HALL}/links`, json('POST', { client: 'Harbour office', days: 14 }))
  const secret = (JSON.parse(made.body).address as string).split('/').at(-1)!
  const send = (id: string, more: object) =>
    house.as('none=1', `/handover/${secret}/sign`, json('POST', { id, name: 'Isla Brandt, Planner', ...more }))
  const ink = [[10, 10, 500, 200]]
  const strokes = (count: number) => Array.from({ length: count }, (_, n) => [n, n, n + 1, n + 1])
  const much = await Promise.all([2_800, 9_000].map(count => send(`s0-${count}`, { ink: strokes(count) })))
  expect(much.map(({ status }) => status)).toEqual([422, 413])
  expect((await send('s1', { ink })).status).toBe(201)
  const twice = await send('s2', { ink })
  expect([twice.status, codeOf(twice)]).toEqual([409, 'signed-already'])
  const remarks = await Promise.all(Array.from({ length: 7 }, (_, n) => send(`r${n}`, { remark: `${n}` })))
  expect(remarks.map(({ status }) => status).sort()).toEqual([201, 201, 201, 201, 201, 409, 409])
  const signed = (await house.wall()).job.log.filter(({ kind }: LogEntry) => kind === 'signed')
  expect(signed).toMatchObject([{ by: 'Client, by link', name: 'Isla Brandt, Planner' }])
})

test('a password that is short, alike or among the first that are tried is refused', async ({ house }) => {
  for (const next of ['short words', ' '.repeat(12), 'Password2026!']) {
    const answer = await house.api('/account/password', json('PUT', { next }))
    expect([next, answer.status]).toEqual([next, 422])
  }
})

test('a clock a day back sets nothing aside, and one 20 days ahead signs nobody out', async ({ house }) => {
  const crew = await house.cookieOf('Odd Varga')
  await startLater(house, -DAY)
  expect((await house.as(crew, `${HALL}/log`, json('POST', remark('back')))).status).toBe(201)
  await startLater(house, 20 * DAY)
  expect((await house.as(crew, `${HALL}/log`, json('POST', remark('ahead')))).status).toBe(201)
})

test('a long log comes in whole by pages and goes out whole; one that was changed is refused', async ({ house }) => {
  const { log: _, heads: __, ...site } = JSON.parse((await house.api('/sites/holm-point/job')).body)
  const log = Array.from({ length: 2_300 }, (_, n) => remark(`r${n}`))
  const bringIn = (id: string, entries: unknown[]) =>
    house.api('/sites/import', json('POST', { ...site, site: { ...site.site, id }, log: entries }))
  expect((await bringIn('long', log)).status).toBe(201)
  const { log: kept } = JSON.parse((await house.api('/sites/long/job')).body) as { log: LogEntry[] }
  expect(kept.map(({ id }) => id)).toEqual(log.map(({ id }) => id))
  const chain = JSON.parse((await house.api('/sites/long/chain')).body)
  expect([chain.entries, chain.broken]).toEqual([2_300, undefined])
  const changed = kept.map(entry => entry.seq === 1_700 ? { ...entry, note: 'y' } : entry)
  const refused = await bringIn('changed', changed)
  expect([refused.status, refused.body]).toEqual([422, expect.stringContaining('$.log[1699]')])
  expect((await house.api('/sites/changed')).status).toBe(404)
})
