import { createGlobalState, useLocalStorage } from '@vueuse/core'
import { takeAlong, type Taken } from './takeAlong'
import { useOutbox } from './useOutbox'

/**
 * Saving sites on this device for a day without a signal. It belongs to the application and not to a page: whoever
 * leaves the page meanwhile finds it further on, or done.
 */
export const useTakeAlong = createGlobalState(() => {
  const { device } = useOutbox()
  const taken = useLocalStorage<Record<string, Taken>>('wide-trellis:taken', {})
  /** How far each site that is being saved is, 0 to 1, and why one could not be saved. */
  const progress = ref<Record<string, number>>({})
  const faults = ref<Record<string, string>>({})

  async function take(site: string) {
    if (progress.value[site] !== undefined) return
    progress.value[site] = 0
    Reflect.deleteProperty(faults.value, site)
    try {
      const saved = await takeAlong(device, site, (share) => { progress.value[site] = share })
      taken.value = { ...taken.value, [site]: saved }
    }
    catch (error) {
      faults.value[site] = error instanceof ApiError && error.isOffline
        ? 'No connection. Save the site before you leave.'
        : `Not everything could be saved on this device: ${(error as Error).message}`
    }
    Reflect.deleteProperty(progress.value, site)
  }
  return { device, taken, progress, faults, take }
})
