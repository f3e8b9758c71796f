import 'fake-indexeddb/auto'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { chained, EMPTY_CHAIN, type ChainEnd, type LogEntry } from '~~/core/log'
import type { ServerWall } from '~~/core/api/walls'
import { Device, noteSeen } from './device'
import { lostOf } from './lost'
import { stateOf } from './testServer'

let device: Device
let n = 0
beforeEach(() => {
  device = new Device(`lost-${n++}`)
})
afterEach(() => device.close())

let end: ChainEnd = EMPTY_CHAIN
const log = ['l1', 'l2', 'l3'].map((id) => {
  const said = { id, at: '2026-11-20T09:00:00Z', by: 'Odd', wall: 'w1', kind: 'remark', note: id } as LogEntry
  const entry = chained(said, end)
  end = { seq: entry.seq!, hash: entry.hash! }
  return entry
})
const having = (count: number, version = 1): ServerWall => {
  const state = stateOf()
  return { ...state, version, job: { ...state.job, log: log.slice(0, count) } }
}
const KEY = 'holm-point/w1'
const lost = async (now: ServerWall) => (await lostOf(device, KEY, async () => now)).map(({ id }) => id)

it('an answer that came late loses nothing: asked again, the server has the entry', async () => {
  await noteSeen(device, KEY, having(3))
  await noteSeen(device, KEY, having(2))
  expect([await lost(having(3)), await device.lost.count()]).toEqual([[], 0])
  expect(await lost(having(0))).toEqual([])
})

it('an entry that the server has no more is kept and told, when the wall was saved since too', async () => {
  await noteSeen(device, KEY, having(3))
  await noteSeen(device, KEY, having(1, 7))
  expect(await lost(having(1, 7))).toEqual(['l2', 'l3'])
  await noteSeen(device, KEY, having(1, 8))
  expect(await lost(having(1, 8))).toEqual(['l2', 'l3'])
  expect((await device.lost.toArray()).map(({ entry }) => entry)).toEqual([log[1], log[2]])
})

it('an entry that was written anew under its id is told too', async () => {
  await noteSeen(device, KEY, having(1))
  const state = having(1)
  const other = chained({ ...log[0]!, by: 'Nobody' }, EMPTY_CHAIN)
  const now = { ...state, job: { ...state.job, log: [other] } }
  await noteSeen(device, KEY, now)
  expect(await lost(now)).toEqual(['l1'])
})
