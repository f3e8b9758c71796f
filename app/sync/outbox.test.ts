import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Frozen } from '~~/core/revision'
import { withNumbers, type LogEntry, type Wall } from '~~/core/job'
import { exampleWall } from '~~/tests/fixtures/job'
import { ApiError } from '../utils/api'
import type { ServerWall } from '~~/core/api/walls'
import { Device, noteSeen } from './device'
import { bringInDrafts, dropDraft } from './drafts'
import { Outbox } from './outbox'
import { photoName } from './photoName'
import { Standin, stateOf } from './testServer'
import { cases } from '~~/tests/fixtures/soak'
import { soon } from '~~/tests/fixtures/soon'

let device: Device
let outbox: Outbox
let n = 0
beforeEach(() => { device = new Device(`test-${n++}`) })
afterEach(() => {
  outbox?.close()
  device.close()
})

const remark = (id: string, wall = 'w1'): LogEntry => ({
  id,
  at: '2026-11-20T09:00:00Z',
  by: 'Odd',
  wall,
  kind: 'remark',
  note: id,
})
const offline = () => new ApiError(0, 'no-connection', 'No connection.')
let server: Standin
async function begun(states: Record<string, ServerWall> = { w1: stateOf(), w2: stateOf() }) {
  server = new Standin()
  for (const [id, state] of Object.entries(states)) await noteSeen(device, `holm-point/${id}`, state)
  outbox = new Outbox(device, server)
}
const idle = async () => {
  await soon(() => expect(outbox.state.sending).toBe(false))
}
const widen = (wall: Wall, width: number): Wall => ({ ...wall, width })
const change = (id: string, before: number, after: number) =>
  outbox.changeWall('holm-point', widen({ ...exampleWall(), id }, before), widen({ ...exampleWall(), id }, after), {})

describe('the outbox', () => {
  it('sends what was kept while there was no connection: of several walls, in order, each thing once', async () => {
    await begun()
    server.fails = () => offline()
    await outbox.addEntry('holm-point', 'w1', remark('l1'))
    await outbox.addEntry('holm-point', 'w1', remark('l2'))
    await outbox.addEntry('holm-point', 'w2', remark('l3', 'w2'))
    await outbox.addEntry('holm-point', 'w1', remark('l4'))
    await change('w1', 6200, 6300)
    await change('w1', 6300, 6400)
    await outbox.addPhoto('holm-point', 'a.png', new Blob(['x']))
    await idle()
    expect([outbox.state.offline, await device.entries.count(), server.log]).toEqual([true, 4, []])
    server.fails = () => undefined
    server.asked = []
    await outbox.send()
    await idle()
    expect(server.asked).toEqual(['photo a.png', 'log w1 l1 l2', 'log w2 l3', 'log w1 l4', 'wall w1 6400'])
    expect([
      await device.entries.count(),
      await device.designs.count(),
      await device.photos.count(),
      outbox.state.offline,
    ]).toEqual([0, 0, 0, false])
    expect((await device.seen.get('holm-point/w1'))!.state).toMatchObject({
      version: 2,
      job: { walls: [{ width: 6400 }], log: [{ id: 'l1', seq: 1 }, { id: 'l2' }, { id: 'l4' }] },
    })
  })

  it('sends the wall as it was issued before what was frozen of it, and later changes after that', async () => {
    const server = new Standin()
    server.fails = () => offline()
    outbox = new Outbox(device, server)
    await noteSeen(device, 'holm-point/w1', stateOf())
    const [before, issued, after] = [6200, 6300, 6400].map(width => ({ ...exampleWall(), width }))
    await outbox.changeWall('holm-point', before!, issued!, {})
    const entry = { ...remark('i1'), kind: 'issued', revision: 'A', frozen: 'f1' } as LogEntry
    await outbox.issue('holm-point', 'w1', { id: 'f1', wall: issued } as Frozen, entry)
    await outbox.changeWall('holm-point', issued!, after!, {})
    await outbox.send()
    Object.assign(server, { asked: [], fails: () => undefined })
    await outbox.send()
    await soon(() => expect(server.asked).toEqual(['wall w1 6300', 'frozen f1', 'log w1 i1', 'wall w1 6400']))
  })

  it('never sends an entry that issues before what was frozen, though both were kept meanwhile', async () => {
    await begun()
    const frozen = { id: 'f1' } as Frozen
    const issued = { ...remark('i1'), kind: 'issued', revision: 'B', frozen: 'f1' } as LogEntry
    const { addEntries } = server
    let kept: Promise<void> | undefined
    server.addEntries = async (...sent) => {
      // It is issued while the hole before it is on its way.
      kept ??= outbox.issue('holm-point', 'w1', frozen, issued)
        .then(() => outbox.addEntry('holm-point', 'w1', remark('l2')))
      await kept
      return addEntries(...sent)
    }
    await outbox.addEntry('holm-point', 'w1', remark('l1'))
    await idle()
    await soon(async () => expect(await device.entries.count()).toBe(0))
    expect(server.asked).toEqual(['log w1 l1', 'frozen f1', 'log w1 i1 l2'])
  })

  it('is the same whatever answers are lost on the way', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom('answered', 'lost', 'failed'), { maxLength: 12 }),
        fc.array(fc.constantFrom(6200, 6300, 6400), { maxLength: 4 }),
        async (fates, widths) => {
          device = new Device(`test-${n++}`)
          await begun()
          const { addEntries, saveWall } = server
          const lossy
            = <Args extends unknown[], Result>(act: (...args: Args) => Promise<Result>) =>
              async (...args: Args) => {
                const fate = fates.shift() ?? 'answered'
                if (fate === 'failed') throw offline()
                const answer = await act(...args)
                if (fate === 'lost') throw offline()
                return answer
              }
          Object.assign(server, { addEntries: lossy(addEntries), saveWall: lossy(saveWall) })
          for (const id of ['l1', 'l2', 'l3']) await outbox.addEntry('holm-point', 'w1', remark(id))
          const edited = [6200, ...widths]
          for (const [k, width] of widths.entries()) {
            await change('w1', edited[k]!, width)
            await outbox.send().then(idle)
          }
          for (let k = 0; k < 16; k++) await outbox.send().then(idle)
          expect(server.log.map(({ id }) => id)).toEqual(['l1', 'l2', 'l3'])
          expect(server.walls.get('w1')!.job.walls[0]!.width).toBe(edited.at(-1))
          expect([await device.entries.count(), await device.designs.count()]).toEqual([0, 0])
          outbox.close()
        },
      ),
      { numRuns: cases(25) },
    )
  })

  it('sets aside what is refused, with its reason, and goes on with the rest', async () => {
    await begun()
    for (const id of ['l1', 'bad1', 'l2']) await outbox.addEntry('holm-point', 'w1', remark(id))
    await idle()
    expect(server.log.map(({ id }) => id)).toEqual(['l1', 'l2'])
    const [refused] = await device.entries.toArray()
    expect(refused).toMatchObject({ entry: { id: 'bad1' }, refused: 'x must be right.' })
    server.fails = what => what.startsWith('wall w1') ? new ApiError(422, 'invalid', 'No such wall.') : undefined
    await change('w1', 6200, 1)
    await change('w2', 6200, 6400)
    await idle()
    expect((await device.designs.toArray()).map(({ id, refused }) => [id, refused])).toEqual([['w1', 'No such wall.']])
    expect(server.walls.get('w2')!.version).toBe(2)
    // Changed again it is sent again; an entry can be given up.
    server.fails = () => undefined
    await change('w1', 1, 6500)
    await outbox.giveUp(refused!)
    await idle()
    expect([await device.designs.count(), await device.entries.count(), server.walls.get('w1')!.version]).toEqual([
      0, 0, 2,
    ])
  })

  it('keeps a change that conflicts until a person has resolved it, while the log goes on', async () => {
    await begun()
    const theirs = stateOf(2, { ...exampleWall(), height: 3500, width: 6250 })
    server.walls.set('w1', theirs)
    await change('w1', 6200, 6300)
    await idle()
    expect(await device.designs.get('holm-point/w1')).toMatchObject({ wall: { width: 6300 }, conflict: { version: 2 } })
    await outbox.addEntry('holm-point', 'w1', remark('l1'))
    await idle()
    expect(server.log.map(({ id }) => id)).toEqual(['l1'])
    await outbox.resolveConflict('holm-point', theirs, { ...exampleWall(), height: 3500, width: 6300 }, {})
    await idle()
    expect(server.walls.get('w1')).toMatchObject({ version: 3, job: { walls: [{ height: 3500, width: 6300 }] } })
    expect(await device.designs.count()).toBe(0)
  })

  it('lays a change on what another person saved elsewhere on the wall, without asking, whichever is heard of first', async () => {
    for (const heard of [false, true]) {
      await begun()
      const theirs = stateOf(2, { ...exampleWall(), height: 3500 })
      server.walls.set('w1', theirs)
      if (heard) await noteSeen(device, 'holm-point/w1', theirs)
      await outbox.changeWall('holm-point', exampleWall(), { ...exampleWall(), width: 6300 }, {})
      await idle()
      expect(server.walls.get('w1')).toMatchObject({ version: 3, job: { walls: [{ height: 3500, width: 6300 }] } })
      expect([
        await device.designs.count(),
        (await device.seen.get('holm-point/w1'))!.state.version,
        outbox.state.merged,
      ]).toEqual([0, 3, heard ? undefined : { key: 'holm-point/w1', by: 'Isla' }])
      outbox.close()
      await device.seen.clear()
    }
  })

  it('asks where two changes that touch different places make no wall together', async () => {
    await begun()
    const arrays = (change: object) => [{ ...exampleWall().arrays[0]!, ...change }]
    server.walls.set('w1', stateOf(2, { ...exampleWall(), arrays: arrays({ columns: 1 }) }))
    // A plate that is moved by hand of a screen that the other took away.
    await outbox.changeWall(
      'holm-point',
      exampleWall(),
      { ...exampleWall(), arrays: arrays({ plates: [{ row: 1, column: 2, lateralShift: -8 }] }) },
      {},
    )
    await idle()
    expect(await device.designs.get('holm-point/w1')).toMatchObject({ conflict: { version: 2 } })
  })

  it('lays what two tabs changed on each other', async () => {
    await begun()
    server.fails = () => offline()
    await change('w1', 6200, 6300)
    const both = await outbox.changeWall('holm-point', exampleWall(), { ...exampleWall(), height: 3000 }, {})
    expect([both.width, both.height]).toEqual([6300, 3000])
    expect((await device.designs.get('holm-point/w1'))!.wall).toEqual(both)
    await outbox.changeWall('holm-point', both, exampleWall(), {})
    server.fails = () => undefined
    await outbox.send().then(idle)
    expect([await device.designs.count(), server.walls.get('w1')!.job.walls[0]]).toEqual([0, exampleWall()])
  })

  it('sends what was undone while the change was on its way', async () => {
    await begun()
    const { saveWall } = server
    let answer = () => {}
    const answered = new Promise<void>((resolve) => { answer = resolve })
    server.saveWall = async change => answered.then(() => saveWall(change))
    await change('w1', 6200, 6300)
    await soon(async () => expect((await device.designs.get('holm-point/w1'))!.sent?.width).toBe(6300))
    await change('w1', 6300, 6200)
    answer()
    await idle()
    expect(server.asked).toEqual(['wall w1 6300', 'wall w1 6200'])
    expect([server.walls.get('w1')!.job.walls[0]!.width, await device.designs.count()]).toEqual([6200, 0])
  })

  it('knows its own change again that arrived without an answer, and asks nobody about it', async () => {
    await begun()
    const { saveWall } = server
    server.saveWall = async (change) => {
      await saveWall(change)
      throw offline()
    }
    await change('w1', 6200, 6300)
    await idle()
    server.saveWall = saveWall
    await change('w1', 6300, 6200)
    await idle()
    expect(server.walls.get('w1')).toMatchObject({ version: 3, job: { walls: [{ width: 6200 }] } })
    expect(await device.designs.count()).toBe(0)
  })

  it('sends nothing that was undone before it was sent', async () => {
    await begun()
    let answer = () => {}
    const answered = new Promise<void>((resolve) => { answer = resolve })
    server.addPhoto = () => answered
    await outbox.addPhoto('holm-point', 'a.png', new Blob(['x']))
    await change('w1', 6200, 6300)
    await change('w1', 6300, 6200)
    answer()
    await idle()
    expect([server.asked, await device.designs.count()]).toEqual([[], 0])
  })

  it.each([
    ['QuotaExceededError', 'full'],
    ['OpenFailedError', 'denied'],
  ] as const)(
    'says so when this device can keep nothing (%s), and that it can when it can again',
    async (name, store) => {
      await begun()
      const add = vi.spyOn(device.entries, 'bulkAdd').mockRejectedValueOnce(Object.assign(new Error('no'), { name }))
      await expect(outbox.addEntry('holm-point', 'w1', remark('l1'))).rejects.toThrow('no')
      expect(outbox.state.store).toBe(store)
      add.mockRestore()
      await outbox.addEntry('holm-point', 'w1', remark('l1'))
      await idle()
      expect([outbox.state.store, server.log.length]).toEqual([undefined, 1])
    },
  )

  it('takes the numbers that the server gave, also where its answer was lost, and calls that no merge', async () => {
    await begun()
    const reading = { id: 'e1-aaaaaa', method: 'magnet' as const, x: 100, y: 1500 }
    const saveWall = server.saveWall
    let lost = true
    server.saveWall = async (change) => {
      const wall = withNumbers(change.wall)
      const saved = await saveWall({ ...change, wall })
      if (lost) {
        lost = false
        throw offline()
      }
      return { ...saved, wall }
    }
    await outbox.changeWall('holm-point', exampleWall(), { ...exampleWall(), evidence: [reading] }, {})
    await soon(async () => expect(await device.designs.count()).toBe(0))
    const evidenceOf = async (id: string) => (await device.seen.get(`holm-point/${id}`))!.state.job.walls[0]!.evidence
    expect([await evidenceOf('w1'), outbox.state.merged]).toEqual([[{ ...reading, number: 1 }], undefined])
  })

  it('does not call a server in trouble a lost connection, and sends the rest past what is in trouble', async () => {
    await begun()
    server.fails = what =>
      what.startsWith('log w1') || what.startsWith('photo')
        ? new ApiError(500, 'error', 'The server had a fault.')
        : undefined
    await outbox.addPhoto('holm-point', 'a.png', new Blob(['x']))
    await outbox.addEntry('holm-point', 'w1', remark('l1'))
    await outbox.addEntry('holm-point', 'w2', remark('l2', 'w2'))
    await outbox.addEntry('holm-point', 'w1', remark('l3'))
    await change('w2', 6200, 6400)
    await idle()
    expect([
      outbox.state.offline,
      outbox.state.trouble,
      server.log.map(({ id }) => id),
      server.walls.get('w2')!.version,
    ]).toEqual([false, 'The server had a fault.', ['l2'], 2])
    server.fails = () => undefined
    await outbox.send().then(idle)
    expect([outbox.state.trouble, server.log.map(({ id }) => id), await device.photos.count()]).toEqual([
      undefined,
      ['l2', 'l1', 'l3'],
      0,
    ])
  })

  it('sends an entry that was mended in its place', async () => {
    await begun()
    for (const id of ['bad1', 'l2']) await outbox.addEntry('holm-point', 'w1', remark(id))
    await idle()
    const [refused] = await device.entries.toArray()
    await outbox.resend(refused!, { ...refused!.entry, id: 'l1' })
    await idle()
    expect([server.log.map(({ id }) => id), await device.entries.count()]).toEqual([['l2', 'l1'], 0])
  })
})

describe('what this device has seen', () => {
  it('is never put back to something older', async () => {
    await begun({ w1: stateOf(3) })
    await noteSeen(device, 'holm-point/w1', stateOf(2, { ...exampleWall(), width: 1 }))
    expect((await device.seen.get('holm-point/w1'))!.state).toMatchObject({
      version: 3,
      job: { walls: [{ width: 6200 }] },
    })
  })

  it('makes room for walls seen later, but of none that has something unsent', async () => {
    await begun({})
    vi.useFakeTimers({ toFake: ['Date'] })
    for (let n = 0; n < 60; n++) {
      vi.setSystemTime(1_000 * n)
      await noteSeen(device, `holm-point/w${n}`, stateOf())
    }
    vi.setSystemTime(100_000)
    await device.designs.put({
      key: 'holm-point/w0',
      site: 'holm-point',
      id: 'w0',
      version: 1,
      base: exampleWall(),
      wall: exampleWall(),
      models: {},
      refused: 'wrong',
    })
    await noteSeen(device, 'holm-point/w1', stateOf())
    await noteSeen(device, 'holm-point/new', stateOf())
    vi.useRealTimers()
    const keys = await device.seen.toCollection().primaryKeys()
    expect([keys.length, ['w0', 'w1', 'w2', 'new'].map(id => keys.includes(`holm-point/${id}`))]).toEqual([
      60,
      [true, true, false, true],
    ])
  })

  it('takes over what an earlier version had not sent, in the form of today', async () => {
    await begun()
    server.fails = () => offline()
    const base = {
      ...exampleWall(),
      overrides: [{ code: 'a', subject: 'b', by: 'Isla', reason: 'a letter', at: '2026-06-03T10:00:00Z' }],
    }
    const wall = {
      ...base,
      width: 6300,
      overrides: [
        ...base.overrides,
        { code: 'c', subject: 'd', by: 'Odd', reason: 'tested', at: '2026-06-04T10:00:00Z' },
      ],
    }
    const kept: Record<string, string> = {
      'wide-trellis:draft:holm-point/w1': JSON.stringify({ version: 1, base, wall, log: [remark('l1')] }),
      'wide-trellis:name': 'Odd',
    }
    const storage = {
      ...kept,
      getItem: (name: string) => kept[name]!,
      removeItem: (name: string) => Reflect.deleteProperty(kept, name),
    } as unknown as Storage
    const half = '{"version":1,"base":'
    Object.assign(kept, { 'wide-trellis:draft:holm-point/half': half, 'wide-trellis:draft:holm-point/none': 'null' })
    Object.assign(storage, kept)
    const broken = await bringInDrafts(device, storage)
    // What cannot be read stays where it is, to be looked at, and holds up nothing.
    expect(broken.map(({ name, text }) => [name, text])).toEqual([
      ['holm-point/half', half],
      ['holm-point/none', 'null'],
    ])
    for (const draft of broken) dropDraft(draft, storage)
    expect(Object.keys(kept)).toEqual(['wide-trellis:name'])
    const [change] = await device.designs.toArray()
    expect([change!.version, change!.wall.width, 'overrides' in change!.wall]).toEqual([1, 6300, false])
    expect((await device.entries.toArray()).map(({ entry }) => [entry.id, entry.kind])).toEqual([
      ['l1', 'remark'],
      ['override-w1-c', 'override'],
    ])
  })
})

it('waits with all of it while nobody is signed in, and refuses none', async () => {
  await begun()
  server.fails = () => new ApiError(401, 'session-ended', 'Sign in again.')
  await outbox.addEntry('holm-point', 'w1', remark('l1'))
  await change('w1', 6200, 6300)
  await idle()
  expect([
    (await device.entries.toArray()).map(({ refused }) => refused),
    (await device.designs.toArray()).map(({ refused }) => refused),
    outbox.state.trouble,
  ]).toEqual([[undefined], [undefined], 'Sign in again.'])
  server.fails = () => undefined
  await outbox.send()
  expect([await device.entries.count(), await device.designs.count(), server.log.map(({ id }) => id)]).toEqual([
    0,
    0,
    ['l1'],
  ])
})

it('hands over an entry that waits for a planner, and says why', async () => {
  await begun()
  server.addEntries = (_site, _wall, entries) =>
    Promise.resolve({
      results: entries.map(entry =>
        entry.id === 'late' ? { setAside: 'Odd Varga was no longer of the firm' } : { entry },
      ),
    })
  for (const id of ['late', 'l2']) await outbox.addEntry('holm-point', 'w1', remark(id))
  await idle()
  expect([await device.entries.count(), outbox.state.setAside]).toEqual([0, ['Odd Varga was no longer of the firm']])
})

it('names a picture by its content as the server does, and knows what is none', async () => {
  const png = Uint8Array.from(
    atob('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='),
    char => char.charCodeAt(0),
  )
  const { createHash } = await import('node:crypto')
  expect(await photoName(new Blob([png]))).toBe(`${createHash('sha256').update(png).digest('hex').slice(0, 32)}.png`)
  expect(await photoName(new Blob([Uint8Array.of(0xFF, 0xD8, 0xFF, 0xE0)]))).toMatch(/\.jpg$/)
  expect(await photoName(new Blob(['RIFF....WEBPVP8 ']))).toMatch(/\.webp$/)
  expect(await photoName(new Blob(['%PDF-1.3']))).toBeUndefined()
})
