import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Wall } from '~~/core/job'
import { may } from '~~/core/people'
import { d46, exampleJob } from '~~/tests/fixtures/job'
import type { ServerWall } from '~~/core/api/walls'
import type { DesignChange } from '../sync/device'
import { useMe } from '../composables/useMe'
import { useWallStore } from './wall'

const stateOf = (version = 1, change: (wall: Wall) => void = () => {}): ServerWall => {
  const job = exampleJob()
  change(job.walls[0]!)
  return { job, version, savedAt: '2026-05-11T09:00:00+01:00', savedBy: 'Isla Brand' }
}
const widen = (width: number) => (wall: Wall) => { wall.width = width }
const raise = (height: number) => (wall: Wall) => { wall.height = height }

beforeEach(async () => {
  setActivePinia(createPinia())
  await useWallStore().prepare()
})

function opened(state = stateOf()) {
  const store = useWallStore()
  store.open('holm-point', state)
  return store
}

describe('before what checks an edit has been fetched', () => {
  it('nothing is edited or recorded, and that is said', () => {
    setActivePinia(createPinia())
    const store = opened()
    expect(store.isReady).toBe(false)
    const loading = [{ path: '$', message: 'The wall is still loading: try again in a moment' }]
    expect(store.edit('Wall width', widen(6300))).toEqual(loading)
    expect(store.record({ kind: 'remark', note: 'Dry' })).toEqual(loading)
    expect(store.tryOut(widen(6300))).toEqual([])
    expect([store.wall!.width, store.preview, store.unwritten]).toEqual([6200, undefined, []])
  })
})

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
    expect(store.edit('Wall width', widen(2000))).toEqual([
      { path: '$.arrays[0].columns', message: '3 columns are 3065.4 mm wide; the wall is 2000 mm' },
    ])
    expect([store.wall!.width, store.history.past]).toEqual([6200, []])
  })

  it('need not mend what came with the file', () => {
    const store = opened(stateOf(1, widen(2000)))
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
    store.setConflict({ theirs: stateOf(2, raise(3500)), base: stateOf().job.walls[0]! })
    return store
  }

  it('see the other’s state and can edit nothing until it is resolved', () => {
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
    store.resolveConflict('mine-on-theirs')
    expect([store.wall!.width, store.wall!.height, store.server!.version, store.unsaved]).toEqual([6300, 3500, 2, true])
    store.undo()
    expect([store.wall!.width, store.wall!.height]).toEqual([6200, 3500])
  })

  it('take the other’s, and can still have their own back', () => {
    const store = met()
    store.resolveConflict('theirs')
    expect([store.wall!.width, store.wall!.height, store.unsaved]).toEqual([6200, 3500, false])
    store.undo()
    expect([store.wall!.width, store.wall!.height]).toEqual([6300, 3300])
  })
})

describe('what this device still had of a wall', () => {
  const change = (more: Partial<DesignChange> = {}): DesignChange => ({
    key: 'holm-point/w1',
    site: 'holm-point',
    id: 'w1',
    version: 1,
    base: exampleJob().walls[0]!,
    wall: { ...exampleJob().walls[0]!, width: 6300 },
    models: {},
    ...more,
  })

  it('is there when the wall opens, unsaved, and can be undone', () => {
    const store = useWallStore()
    store.open('holm-point', stateOf(), { change: change() })
    expect([store.wall!.width, store.unsaved, store.conflict]).toEqual([6300, true, undefined])
    store.undo()
    expect([store.wall!.width, store.unsaved]).toEqual([6200, false])
  })

  it('conflicts with what somebody saved in between', () => {
    const store = useWallStore()
    store.open('holm-point', stateOf(2, raise(3500)), { change: change({ conflict: stateOf(2, raise(3500)) }) })
    expect(store.conflict?.theirs.version).toBe(2)
    store.resolveConflict('mine-on-theirs')
    expect([store.wall!.width, store.wall!.height]).toEqual([6300, 3500])
  })

  it('has each entry of the log once, whoever has it by now', () => {
    const entry = {
      id: 'l1',
      at: '2026-05-11T09:00:00+01:00',
      by: 'Isla Brand',
      wall: 'w1',
      kind: 'remark' as const,
      note: 'dusty',
    }
    const state = stateOf()
    state.job.log = [entry]
    const store = useWallStore()
    store.open('holm-point', state, { log: [entry, { ...entry, id: 'l2' }] })
    useMe().name.value = 'Odd Varga'
    useMe().id.value = 'p2'
    expect(store.record({ kind: 'remark', note: 'swept' })).toEqual([])
    // What the server would refuse is not recorded: it is reported at once.
    expect(store.record({ kind: 'remark', note: '' }).map(({ path }) => path)).toEqual(['$.note'])
    expect([
      store.unsentLog.map(({ id }) => id),
      store.unwritten.flat().map(({ site, entry: { by, person, wall } }) => [site, by, person, wall]),
    ]).toEqual([['l2'], [['holm-point', 'Odd Varga', 'p2', 'w1']]])
    // Another wall that is opened meanwhile does not lose it, nor shows it.
    store.open('elsewhere', stateOf())
    expect([store.unwritten.length, store.allLog]).toEqual([1, []])
    store.open('holm-point', state, { log: [{ ...entry, id: 'l2' }] })
    store.written(store.unwritten[0]!)
    expect([store.allLog.length, store.unwritten]).toEqual([3, []])
    // Nothing that is as it was is made anew, so that nothing is planned again for it.
    const before = store.allLog
    store.receive(structuredClone(state), structuredClone(store.unsentLog))
    expect(store.allLog).toBe(before)
  })
})

describe('who may not', () => {
  it('changes nothing and issues nothing, and is told whom to ask; what is his to record he records', () => {
    const store = opened()
    useMe().name.value = 'Odd Varga'
    useMe().id.value = 'p2'
    store.rights = action => may({ role: 'crew', sites: ['holm-point'] }, action, { site: 'holm-point' })
    expect(store.edit('Wall width', widen(6300))[0]!.message).toBe(
      'You cannot edit the survey and design of a wall here: ask a planner or a lead',
    )
    expect(store.tryOut(widen(6300))).toEqual([])
    expect([store.wall!.width, store.preview]).toEqual([6200, undefined])
    expect(store.record({ kind: 'issued', revision: 'A' })[0]!.message).toContain('ask a planner or a lead')
    expect(store.record({ kind: 'remark', note: 'swept' })).toEqual([])
    expect(store.unwritten.length).toBe(1)
  })
})

describe('models from the firm’s catalogue', () => {
  it('can be used at once, and once only when the server has them', () => {
    const store = opened()
    const use = (id: string) => store.edit('Display', (wall) => { wall.arrays[0]!.display = id })
    expect(use('n1')[0]!.message).toContain('“n1” is not in the catalogue')
    store.addModel('display', { ...d46, id: 'n1' })
    expect(use('n1')).toEqual([])
    const state = stateOf(2)
    state.job.catalogue.displays.push({ ...d46, id: 'n1' })
    store.receive(state, [])
    store.addModel('display', { ...d46, id: 'n2' })
    expect(store.catalogue.displays.map(({ id }) => id)).toEqual(['d46', 'n1', 'n2'])
  })
})
