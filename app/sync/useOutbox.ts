import { liveQuery } from 'dexie'
import { createGlobalState, useEventListener } from '@vueuse/core'
import { Device, type UnsentEntry, type UnsentPhoto } from './device'
import { bringInDrafts } from './drafts'
import { Outbox, type OutboxState } from './outbox'
import { server } from './server'

/** What is still to be sent from this device, and what of it was set aside. */
interface Waiting { count: number, entries: UnsentEntry[], photos: UnsentPhoto[] }

/** The one outbox of the application, and how it stands; it sends whatever page is open. */
export const useOutbox = createGlobalState(() => {
  const state = ref<OutboxState>({ sending: false, offline: false, full: false })
  const waiting = shallowRef<Waiting>({ count: 0, entries: [], photos: [] })
  const device = new Device()
  const outbox = new Outbox(device, server, (now) => { state.value = now })
  liveQuery(async (): Promise<Waiting> => {
    const [designs, entries, photos] = await Promise.all([device.designs.toArray(), device.entries.toArray(), device.photos.toArray()])
    const isWaiting = ({ refused }: { refused?: string }) => refused === undefined
    return {
      count: designs.filter(change => isWaiting(change) && !change.conflict).length + entries.filter(isWaiting).length + photos.filter(isWaiting).length,
      entries: entries.filter(entry => !isWaiting(entry)), photos: photos.filter(photo => !isWaiting(photo)),
    }
  }).subscribe({ next: (now) => { waiting.value = now }, error: () => { state.value = { ...state.value, full: true } } })
  useEventListener(window, 'online', () => void outbox.send())
  const ready = bringInDrafts(device).then(() => void outbox.send(), () => {})
  return { device, outbox, state, waiting, ready }
})
