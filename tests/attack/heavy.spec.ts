import { once } from 'node:events'
import { get, type IncomingMessage } from 'node:http'
import type { Socket } from 'node:net'
import { buffer } from 'node:stream/consumers'
import { expect, testAlone as test } from '../e2e/house'

/** A wall that takes seconds to draw: 576 screens in one grid. */
async function heavy(house: { api: (path: string, init?: RequestInit) => Promise<{ status: number, body: string }> }) {
  const job = JSON.parse((await house.api('/sites/holm-point/job')).body)
  const [hall] = job.walls
  const { plates: _p, holes: _h, cells: _c, ...array } = hall.arrays[0]
  const wall = {
    ...hall,
    id: 'heavy',
    width: 60_000,
    height: 40_000,
    evidence: [],
    structure: { kind: 'concrete', thickness: 300, strength: 28 },
    covering: [],
    features: [],
    arrays: [
      {
        ...array,
        rows: 24,
        columns: 24,
        follows: undefined,
        at: { x: { edge: 'left', value: 1_000 }, y: { edge: 'bottom', value: 1_000 } },
      },
    ],
  }
  const sent = await house.api('/sites/import', {
    method: 'POST',
    body: JSON.stringify({ ...job, site: { ...job.site, id: 'heavy' }, walls: [wall], log: [] }),
  })
  expect(sent.status).toBe(201)
}

test('while a heavy sheet is drawn others are answered, and beyond the queue it is said when to come again @long', async ({
  house,
}) => {
  await heavy(house)
  const order: string[] = []
  // The server reads the part that draws sheets with the first one; plans must not come before it for that.
  const first = await house.file('/sites/holm-point/walls/ticket-hall/sheet?format=pdf')
  expect(first.subarray(0, 5).toString()).toBe('%PDF-')
  const address = `${house.address}/api/sites/heavy/walls/heavy/sheet?format=pdf`
  const asked = get(address, { headers: { cookie: house.cookie } })
  const sheet = once(asked, 'response').then(async ([answer]: IncomingMessage[]) => {
    order.push('sheet')
    return [answer!.statusCode, (await buffer(answer!)).subarray(0, 5).toString()]
  })
  // It is on its way before others ask: a connection may be made later than those of others.
  const [socket] = (await once(asked, 'socket')) as [Socket]
  if (socket.connecting) await once(socket, 'connect')
  // Asked after it, and answered before it.
  for (let n = 0; n < 5; n++) {
    expect((await house.api('/sites/holm-point/walls/ticket-hall')).status).toBe(200)
    order.push('read')
  }
  const many = await Promise.all(Array.from({ length: 40 }, () => house.api('/sites/heavy/walls/heavy/plan')))
  const busy = many.filter(({ status }) => status === 503)
  expect(many.every(({ status }) => status === 200 || status === 503)).toBe(true)
  expect(busy.length).toBeGreaterThan(0)
  expect([busy[0]!.headers.get('retry-after'), JSON.parse(busy[0]!.body).error.code]).toEqual(['5', 'busy'])
  expect(await sheet).toEqual([200, '%PDF-'])
  expect(order.slice(0, 5)).toEqual(['read', 'read', 'read', 'read', 'read'])
})
