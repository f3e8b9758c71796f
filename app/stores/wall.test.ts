import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Wall } from '~~/core/job'
import { d46, exampleJob } from '~~/tests/fixtures/job'
import { useWallStore, type KeptWall } from './wall'

const kept = (version = 1, change: (wall: Wall) => void = () => {}): KeptWall => {
  const job = exampleJob()
  change(job.walls[0]!)
  return { job, version, savedAt: '2026-05-11T09:00:00+01:00', savedBy: 'Isla Brand' }
}
const widen = (width: number) => (wall: Wall) => { wall.width = width }
const raise = (height: number) => (wall: Wall) => { wall.height = height }

beforeEach(() => setActivePinia(createPinia()))

function opened(state = kept()) {
  const store = useWallStore()
  store.open('holm-point', state)
  return store
}

describe('an edit', () => {
  it('is applied at once, is unsaved, and is undone and redone as far back as it goes', () => {
    const store = opened()
    for (const width of [6300, 6400, 6500]) expect(store.edit('Wall width', widen(width))).toEqual([])
    expect([store.wall!.width, store.unsaved]).toEqual([6500, true])
    store.undo()
    store.undo()
    store.undo()
    store.undo()
    expect([store.wall!.width, store.unsaved, store.history.past]).toEqual([6200, false, []])
    store.redo()
    expect(store.wall!.width).toBe(6300)
    store.edit('Wall width', widen(7000))
    store.redo()
    expect(store.wall!.width).toBe(7000)
  })

  it('that is wrong changes nothing and says where', () => {
    const store = opened()
    expect(store.edit('Wall width', widen(-1)).map(({ path }) => path)).toEqual(['$.width'])
    expect(store.edit('Wall width', widen(2000))).toEqual([{ path: '$.arrays[0].columns', message: '3 columns are 3065.4 mm wide; the wall is 2000 mm' }])
    expect([store.wall!.width, store.history.past]).toEqual([6200, []])
  })

  it('need not mend what came with the file', () => {
    const store = opened(kept(1, widen(2000)))
    expect(store.edit('Wall height', raise(3100))).toEqual([])
    expect(store.edit('Wall width', widen(1900)).map(({ path }) => path)).toEqual(['$.arrays[0].columns'])
  })

  it('that changes nothing leaves no trace', () => {
    const store = opened()
    store.edit('Wall width', widen(6200))
    expect(store.history.past).toEqual([])
  })
})

describe('trying out', () => {
  it('draws the wall without keeping it, and not at all where it is wrong', () => {
    const store = opened()
    store.tryOut(widen(6300))
    expect([store.shown!.width, store.wall!.width]).toEqual([6300, 6200])
    expect(store.tryOut(widen(0))).toHaveLength(1)
    expect(store.shown!.width).toBe(6300)
    store.cancelPreview()
    expect(store.shown!.width).toBe(6200)
  })
})

describe('two people', () => {
  const met = () => {
    const store = opened()
    store.edit('Wall width', widen(6300))
    store.meet({ theirs: kept(2, raise(3500)), base: kept().job.walls[0]! })
    return store
  }

  it('see the other’s state and can edit nothing until it is settled', () => {
    const store = met()
    expect([store.shown!.height, store.wall!.width]).toEqual([3500, 6300])
    store.looking = 'mine'
    expect(store.shown!.width).toBe(6300)
    expect(store.edit('Wall width', widen(6400))).toHaveLength(1)
    store.undo()
    expect(store.wall!.width).toBe(6300)
  })

  it('lay one’s changes on the other’s, and nothing of either is lost', () => {
    const store = met()
    store.settle('mine-on-theirs')
    expect([store.wall!.width, store.wall!.height, store.kept!.version, store.unsaved]).toEqual([6300, 3500, 2, true])
    store.undo()
    expect([store.wall!.width, store.wall!.height]).toEqual([6200, 3500])
  })

  it('take the other’s, and can still have their own back', () => {
    const store = met()
    store.settle('theirs')
    expect([store.wall!.width, store.wall!.height, store.unsaved]).toEqual([6200, 3500, false])
    store.undo()
    expect([store.wall!.width, store.wall!.height]).toEqual([6300, 3300])
  })
})

describe('what the browser still held', () => {
  const held = (version: number) => ({ version, base: kept().job.walls[0]!, wall: { ...kept().job.walls[0]!, width: 6300 }, log: [] })

  it('is there when the wall opens, unsaved, and can be undone', () => {
    const store = useWallStore()
    store.open('holm-point', kept(), held(1))
    expect([store.wall!.width, store.unsaved, store.conflict]).toEqual([6300, true, undefined])
    store.undo()
    expect([store.wall!.width, store.unsaved]).toEqual([6200, false])
  })

  it('meets what somebody saved in between', () => {
    const store = useWallStore()
    store.open('holm-point', kept(2, raise(3500)), held(1))
    expect(store.conflict?.theirs.version).toBe(2)
    store.settle('mine-on-theirs')
    expect([store.wall!.width, store.wall!.height]).toEqual([6300, 3500])
  })

  it('sends no entry of the log twice', () => {
    const entry = { id: 'l1', at: '2026-05-11T09:00:00+01:00', by: 'Isla Brand', wall: 'w1', kind: 'hole' as const, hole: 'a1-r1c1-top-1', x: 1, y: 2, result: 'hit' as const }
    const state = kept()
    state.job.log = [entry]
    const store = useWallStore()
    store.open('holm-point', state, { ...held(1), log: [entry, { ...entry, id: 'l2' }] })
    expect(store.unsentLog.map(({ id }) => id)).toEqual(['l2'])
    expect(store.allLog.map(({ id }) => id)).toEqual(['l1', 'l2'])
  })
})

describe('models from the firm’s catalogue', () => {
  it('can be used at once, and one taken while a save is under way is still to be sent', () => {
    const store = opened()
    const use = (id: string) => store.edit('Display', (wall) => { wall.arrays[0]!.display = id })
    expect(use('n1')[0]!.message).toContain('“n1” is not in the catalogue')
    store.take('display', { ...d46, id: 'n1' })
    expect(use('n1')).toEqual([])
    const sent = store.taken
    store.take('display', { ...d46, id: 'n2' })
    expect(use('n2')).toEqual([])
    store.saved({ version: 2, savedAt: '', savedBy: '' }, store.wall!, sent)
    expect(store.kept!.job.catalogue.displays.map(({ id }) => id)).toEqual(['d46', 'n1'])
    expect(store.taken.displays!.map(({ id }) => id)).toEqual(['n2'])
    expect(store.catalogue.displays.map(({ id }) => id)).toEqual(['d46', 'n1', 'n2'])
  })
})
