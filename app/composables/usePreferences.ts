import { useLocalStorage } from '@vueuse/core'
import type { UnitSystem } from '~~/core/units'

/** What a person sets for this browser: the light they work in, and the unit they read. */
export const usePreferences = () => ({
  theme: useLocalStorage<'desk' | 'site'>('wide-trellis:theme', 'desk'),
  /** Empty while the site's own unit is followed. */
  units: useLocalStorage<UnitSystem | ''>('wide-trellis:units', ''),
  fine: useLocalStorage('wide-trellis:fine', false),
})
