import { liveQuery } from 'dexie'
import { createGlobalState, useEventListener } from '@vueuse/core'
import { Device, type DesignChange, type SettingsChange, type UnsentEntry, type UnsentPhoto } from './device'
import { bringInDrafts, dropDraft, type BrokenDraft } from './drafts'
import { Outbox } from './outbox'
import type { OutboxState } from './outboxState'
import { server } from './server'
import { Signer } from './signer'
import { deviceId } from '~/utils/deviceId'
import { deviceNameOf } from '~/stores/session'

/** What is still to be sent from this device, and what of it was set aside. */
interface Waiting {
  count: number
  entries: UnsentEntry[]
  photos: UnsentPhoto[]
  designs: DesignChange[]
  settings: SettingsChange[]
}

/** The one outbox of the application, and how it stands; it sends whatever page is open. */
export const useOutbox = createGlobalState(() => {
  const state = shallowRef<OutboxState>({ sending: false, offline: false })
  const waiting = shallowRef<Waiting>({ count: 0, entries: [], photos: [], designs: [], settings: [] })
  /** What an earlier version kept here that cannot be read. */
  const broken = shallowRef<BrokenDraft[]>([])
  const session = useSessionStore()
  const device = new Device(session.firm ? deviceNameOf(session.firm) : undefined)
  const own = () => session.own && { ...session.own, device: deviceId() }
  const outbox = new Outbox(device, server, (now) => { state.value = now }, new Signer(device, own))
  liveQuery(async (): Promise<Waiting> => {
    const [designs, entries, photos, settings] = await Promise.all([
      device.designs.toArray(), device.entries.toArray(), device.photos.toArray(), device.settings.toArray(),
    ])
    const isWaiting = ({ refused }: { refused?: string }) => refused === undefined
    const isRefused = (thing: { refused?: string }) => !isWaiting(thing)
    return {
      count: [designs.filter(({ conflict }) => !conflict), entries, photos, settings].flat().filter(isWaiting).length,
      entries: entries.filter(isRefused),
      photos: photos.filter(isRefused),
      designs: designs.filter(isRefused),
      settings: settings.filter(isRefused),
    }
  }).subscribe({ next: (now) => { waiting.value = now }, error: error => outbox.cannotKeep(error) })
  device.open().catch(error => outbox.cannotKeep(error))
  useEventListener(window, 'online', () => void outbox.send())
  const ready = bringInDrafts(device).then((found) => {
    broken.value = found
    void outbox.send()
  }, () => {})
  /** How much of it waits for a person. */
  const rejected = computed(() => {
    const { entries, photos, designs, settings } = waiting.value
    return [entries, photos, designs, settings, broken.value].reduce((sum, { length }) => sum + length, 0)
  })
  function drop(draft: BrokenDraft) {
    dropDraft(draft)
    broken.value = broken.value.filter(other => other !== draft)
  }
  return { device, outbox, state, waiting, broken, rejected, drop, ready }
})
