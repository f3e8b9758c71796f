import { liveQuery } from 'dexie'
import { frozenOfId, lastFrozen } from './frozen'
import { useKeptPlan } from './keptPlan'
import { KeptWall } from './keptWall'
import { saveState } from './savingState'
import { subscribeToWall } from './subscribeToWall'
import { useOutbox } from './useOutbox'

/**
 * Keeps the open wall and the device store in step: edits are written to the store and sent to the server; the
 * server's answers and the changes of other tabs come back.
 */
export function useWallSync() {
  const store = useWallStore()
  const { device, outbox, state: sending, waiting } = useOutbox()
  const kept = new KeptWall(store, device, outbox)
  const { site, id, key, saving } = kept

  watch([() => store.wall, () => store.unwritten], ([edited]) => {
    if (kept.isOpen()) kept.edited(edited)
  }, { flush: 'sync' })
  // What others issue while it is open.
  watch(() => store.wall && lastFrozen(store.allLog, store.wall), async (issued) => {
    if (issued === undefined || store.frozen.some(({ id }) => id === issued)) return
    const frozen = await frozenOfId(device, site, id, issued)
    if (frozen && kept.isOpen()) store.addFrozen(frozen)
  })
  const subscription = liveQuery(() =>
    Promise.all([device.seen.get(key), device.designs.get(key), device.entries.where('key').equals(key).toArray()]),
  ).subscribe({ next: () => kept.changedElsewhere(), error: () => {} })
  const unsubscribe = id === '' ? () => {} : subscribeToWall(device, site, id)
  onScopeDispose(() => {
    unsubscribe()
    subscription.unsubscribe()
    kept.close()
  })
  useKeptPlan(device, key)
  void outbox.send()

  const state = computed(() => {
    const isElseSent = !store.unsaved && store.unwritten.length === 0 && store.unsentLog.length === 0
      && waiting.value.count === 0
    return saveState(saving.value, sending.value, store.conflict !== undefined, isElseSent)
  })
  /** Why it is not saved, where a person said so; and whose changes it was merged with. */
  const reason = computed(() => {
    const { trouble, merged } = sending.value
    if (state.value === 'trouble') return trouble
    const isMerged = state.value === 'saved' && merged?.key === key
    return isMerged ? `merged with the changes of ${merged.by}` : saving.value.refused
  })
  return { state, reason, waiting, resolve: (choice: 'mine-on-theirs' | 'theirs') => kept.resolve(choice) }
}
