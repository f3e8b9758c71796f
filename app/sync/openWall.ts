import type { KeptDrawing } from '~~/core/plan/drawn'
import { forgetSeen, noteSeen, wallKey, type Device } from './device'
import { frozenOfId, lastFrozen } from './frozen'
import { fetchWall } from './fetchWall'
import { drawable } from './keptPlan'
import { lostOf } from './lost'
import { unsentOf } from './unsent'
import { useOutbox } from './useOutbox'

/** So long a wall that this device has seen waits to hear how the server has it now, ms. */
const WAITS = 1_500

/** A wall that is open: it can be drawn, and soon be worked on. */
export interface Opened {
  /** What it is drawn by until its plan has been calculated; absent where nothing is known. */
  drawing?: KeptDrawing
  /**
   * Once it is as the server has it, or there is no answer for now, and what was issued of it is at hand.
   *
   * @throws ApiError where the server does not have it any more, or not for this person
   */
  settled: Promise<void>
  /**
   * Once the server has answered, however late, or there is no answer for now.
   *
   * @throws ApiError as `settled` does
   */
  answered: Promise<void>
}

/** Waits for something, but not longer than so many ms. */
const atMost = (ms: number, what: Promise<unknown>): Promise<unknown> =>
  Promise.race([what, new Promise(done => setTimeout(done, ms))])

/** Everything that this device has of a wall, at one moment; with what was frozen when it was issued last. */
const ownOf = (device: Device, key: string) =>
  device.transaction('r', device.seen, device.plans, device.designs, device.entries, device.revisions, async () => {
    const [seen, kept, change, log] = await Promise.all([
      device.seen.get(key), device.plans.get(key), device.designs.get(key), unsentOf(device, key),
    ])
    const issued = seen && lastFrozen([...seen.state.job.log, ...log], seen.state.job.walls[0]!)
    const frozen = issued === undefined ? undefined : (await device.revisions.get(issued))?.frozen
    return { seen, kept, change, log, frozen }
  }).catch(() => undefined)

/**
 * Opens a wall with everything that was done to it on this device: at once as the device had it last, else as the
 * server has it. What the server has newer comes while it is open.
 *
 * @throws ApiError where it cannot be had
 */
export async function openWall(site: string, id: string): Promise<Opened> {
  const store = useWallStore()
  const { device, ready } = useOutbox()
  const [path, key] = [`/sites/${site}/walls/${id}`, wallKey(site, id)]
  const answer = fetchWall(site, id)
  const noted = answer.then(state => noteSeen(device, key, state).catch(() => {}))
  // Whoever waits for it hears of it.
  noted.catch(() => {})
  await ready
  let own = await ownOf(device, key)
  const known = own?.seen !== undefined
  const drawing = known ? undefined : api<KeptDrawing | null>(`${path}/drawn`).catch(() => undefined)
  const state = own?.seen?.state ?? await answer
  // What was sent while the server answered is newer than its answer.
  if (!known) own = await ownOf(device, key)
  store.open(site, own?.seen && own.seen.state.version > state.version ? own.seen.state : state, own)
  if (own?.frozen) store.addFrozen(own.frozen)
  const frozen = async () => {
    const issued = lastFrozen(store.allLog, state.job.walls[0]!)
    if (issued === own?.frozen?.id) return
    const found = issued === undefined ? undefined : await frozenOfId(device, site, id, issued)
    if (found && store.site === site && store.id === id) store.addFrozen(found)
  }
  const heard = noted.catch(async (error: unknown) => {
    if (error instanceof ApiError && error.retryable) return
    if (error instanceof ApiError && [403, 404].includes(error.status)) await forgetSeen(device, key).catch(() => {})
    throw error
  })
  heard.catch(() => {})
  void noted.then(() => lostOf(device, key, () => fetchWall(site, id)))
    .then((lost) => {
      if (store.site === site && store.id === id) store.lost = lost
    })
    .catch(() => {})
  const settled = Promise.all([known ? atMost(WAITS, heard) : undefined, frozen()]).then(() => {})
  // It may fail while the last drawing is still fetched, before anyone waits for it.
  settled.catch(() => {})
  return { drawing: drawable(own?.kept ?? await drawing), settled, answered: heard.then(() => {}) }
}
