import { liveQuery } from 'dexie'
import { merge, same, type LogEntry, type Wall } from '~~/core/job'
import { frozenWith } from '~~/core/log'
import { wallKey } from './device'
import { frozenOfId, lastFrozen } from './frozen'
import { hearWall } from './hearWall'
import { useKeptPlan } from './keptPlan'
import { unsentOf } from './unsent'
import { useOutbox } from './useOutbox'

export type SaveState = 'saved' | 'saving' | 'offline' | 'trouble' | 'full' | 'denied' | 'refused' | 'conflict'

/** After so long it is tried again to write to a device that is full, ms. */
const TRY_AGAIN = 5_000

/**
 * Keeps the open wall and the device store in step: edits are written to the store and sent to the server; the
 * server's answers and the changes of other tabs come back.
 */
export function useWallSync() {
  const store = useWallStore()
  const { device, outbox, state: sending, waiting } = useOutbox()
  const refused = ref<string>()
  const [site, id] = [store.site, store.id]
  const key = wallKey(site, id)
  /** Whether this wall is still the open one: the next wall opens before this page is gone. */
  const isOpen = () => store.site === site && store.id === id
  /** The wall as last written to the device store. */
  let written = store.wall
  /** Number of edits made here, and of those that the device store has. */
  const edits = ref(0)
  const kept = ref(0)
  /** Whether the device holds a version of this wall that the server may not have. */
  const unsent = ref(false)
  let queue: Promise<void> = Promise.resolve()
  /** Whether a person has resolved a conflict that the device store does not know of yet. */
  let resolving = false
  let timer: ReturnType<typeof setTimeout> | undefined
  /** Runs actions one after the other, so that a read is never older than a write. */
  function inTurn(act: () => Promise<void>) {
    queue = queue.then(act).catch(() => {
      clearTimeout(timer)
      timer = setTimeout(() => inTurn(() => write(undefined)), TRY_AGAIN)
    })
  }

  /** @param edited the wall as it was last edited here, for when another has been opened since */
  async function write(edited: Wall | undefined) {
    const upTo = edits.value
    // A mark-out follows from the wall as it is then: that is kept before it.
    const isIssued = store.unwritten.some(([first]) => first && frozenWith(first.entry) !== undefined)
    if (isIssued) await writeDesign(edited).catch(() => {})
    // What happened is recorded whatever becomes of the design.
    for (const set of store.unwritten) {
      const [{ site, entry: first }] = set as [{ site: string, entry: LogEntry }]
      const frozen = store.frozen.find(({ id }) => id === frozenWith(first))
      if (frozen) await outbox.issue(site, first.wall, frozen, first)
      else await outbox.addEntries(set.map(({ site, entry }) => ({ site, wall: entry.wall, entry })))
      store.written(set)
    }
    await writeDesign(edited)
    kept.value = upTo
  }

  async function writeDesign(edited: Wall | undefined) {
    const mine = isOpen() ? store.wall : edited
    if (mine && written && mine !== written && !(isOpen() && store.conflict)) {
      const both = await outbox.changeWall(site, written, mine, toRaw(store.addedModels))
      if (isOpen() && !same(both, mine)) store.wall = merge(mine, both, store.wall!)
      written = same(both, mine) ? mine : both
      await refresh()
    }
  }

  /** Reads what the device's store has of this wall. */
  async function refresh() {
    // At one moment: between one read and the next the server's answer may move a change from here to there.
    const [seen, change, log] = await device.transaction('r', device.seen, device.designs, device.entries, () =>
      Promise.all([device.seen.get(key), device.designs.get(key), unsentOf(device, key)]),
    )
    if (!isOpen()) return
    if (seen) store.receive(seen.state, log)
    refused.value = change?.refused
    unsent.value = change !== undefined
    if (resolving) return
    if (change?.conflict) {
      if (store.conflict?.theirs.version !== change.conflict.version)
        store.setConflict({ theirs: change.conflict, base: change.base })
      return
    }
    const stored = change?.wall ?? seen?.state.job.walls[0]
    if (!stored || !written) return
    // Another tab may have resolved it, or changed the wall.
    store.conflict = undefined
    if (!same(stored, written)) store.wall = merge(written, stored, store.wall!)
    written = stored
  }

  function resolve(choice: 'mine-on-theirs' | 'theirs') {
    const theirs = store.conflict?.theirs
    if (!theirs) return
    resolving = true
    store.resolveConflict(choice)
    written = store.wall
    inTurn(async () => {
      resolving = false
      await outbox.resolveConflict(site, theirs, written!, toRaw(store.addedModels))
    })
  }

  watch([() => store.wall, () => store.unwritten], ([edited]) => {
    if (!isOpen()) return
    edits.value++
    inTurn(() => write(edited))
  }, { flush: 'sync' })
  // What others issue while it is open.
  watch(() => store.wall && lastFrozen(store.allLog, store.wall), async (issued) => {
    if (issued === undefined || store.frozen.some(({ id }) => id === issued)) return
    const frozen = await frozenOfId(device, site, id, issued)
    if (frozen && isOpen()) store.addFrozen(frozen)
  })
  const subscription = liveQuery(() =>
    Promise.all([device.seen.get(key), device.designs.get(key), device.entries.where('key').equals(key).toArray()]),
  ).subscribe({ next: () => inTurn(refresh), error: () => {} })
  const hush = id === '' ? () => {} : hearWall(device, site, id)
  onScopeDispose(() => {
    hush()
    subscription.unsubscribe()
    clearTimeout(timer)
  })
  useKeptPlan(device, key)
  void outbox.send()

  const state = computed<SaveState>(() => {
    if (store.conflict) return 'conflict'
    if (sending.value.store) return sending.value.store
    if (refused.value) return 'refused'
    // A wall that is what the server had last is not saved while another version of it is on its way there.
    if (
      edits.value === kept.value
      && !unsent.value
      && !store.unsaved
      && store.unwritten.length === 0
      && store.unsentLog.length === 0
      && waiting.value.count === 0
    )
      return 'saved'
    return sending.value.offline ? 'offline' : sending.value.trouble ? 'trouble' : 'saving'
  })
  /** Why it is not saved, where a person said so; and whose changes it was merged with. */
  const reason = computed(() =>
    state.value === 'trouble'
      ? sending.value.trouble
      : state.value === 'saved' && sending.value.merged?.key === key
        ? `merged with the changes of ${sending.value.merged.by}`
        : refused.value,
  )
  return { state, reason, waiting, resolve }
}
