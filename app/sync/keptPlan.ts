import { watchDebounced } from '@vueuse/core'
import { drawnOf, type KeptDrawing } from '~~/core/plan/drawn'
import { PROGRAM } from '~~/core/program'
import { wallKey, type Device } from './device'

/** A plan stands so long before this device keeps it, ms. */
const STANDS = 1_000

/** A kept plan if this program can draw it: another version of it may have had other parts. */
export const drawable = <Kept extends KeptDrawing>(kept: Kept | null | undefined): Kept | undefined =>
  kept?.program === PROGRAM ? kept : undefined

/** Keeps on this device what the open wall is drawn by, so that it is drawn at once when it is opened again. */
export function useKeptPlan(device: Device, key: string): void {
  const store = useWallStore()
  const session = useSessionStore()
  const { live, liveWall } = useWallPlan()
  watchDebounced(live, async (plan) => {
    const version = store.server?.version
    if (!plan || version === undefined || liveWall.value !== store.wall || wallKey(store.site, store.id) !== key) return
    // It may come only now that its person signs out, who leaves nothing here.
    if (session.leaving || !session.person) return
    // A device that cannot keep it plans the wall anew.
    await device.plans.put({ key, program: PROGRAM, version, plan: drawnOf(toRaw(plan)) }).catch(() => {})
  }, { debounce: STANDS, immediate: true })
}
