import { until, useOnline } from '@vueuse/core'
import { ROOMS } from '~/stages'

/** What is fetched only when it is first shown, beside the stages. */
const PARTS = [
  () => import('~/sync/forget'), () => import('~/components/shell/CommandPalette.vue'),
  () => import('~/components/shell/KeySheet.vue'), () => import('~/drawing/DraftSeams.vue'),
  () => import('~/drawing/DraftMoves.vue'), () => import('~/drawing/DraftCoursing.vue'),
  () => import('~/drawing/DimensionInput.vue'),
]

/** Where one goes from a wall: its site, the list of sites, the house rules. */
const PAGES = ['/', '/sites/any', '/sites/any/rules', '/sites/any/walls/any/rules']

/** So long after the first plan the rest is fetched, ms. */
const AFTER = 500

/** Whether every stage is at hand, so that the wall can be worked without signal. */
export const useAtHand = () => useState('every-stage-at-hand', () => false)

/** Whether the parts wait until a person asks for them, because this device saves data. */
export const useAhead = () => useState<'by-itself' | 'offered' | 'asked'>('parts-ahead', () => 'by-itself')

const savesData = () => (navigator as { connection?: { saveData?: boolean } }).connection?.saveData === true

/** Fetches every part of the application into this page. */
const fetchParts = () => Promise.all([
  ...[...ROOMS.flatMap(({ parts }) => parts), ...PARTS].map(part => part()),
  ...PAGES.map(page => preloadRouteComponents(page)),
])

/** Once the service worker has every part and answers this page; false where this page has none. */
async function workerHasParts(): Promise<boolean> {
  const workers = navigator.serviceWorker as ServiceWorkerContainer | undefined
  if (!await workers?.getRegistration()) return false
  await workers!.ready
  if (!workers!.controller) {
    await new Promise(done => workers!.addEventListener('controllerchange', done, { once: true }))
  }
  return true
}

/**
 * Sees to it that every stage, and the firm's catalogue, is at hand once the first one is drawn: at the wall there is
 * often no signal by the time that the next stage is opened. The service worker has them all; where there is none
 * they are fetched into the page, on a device that saves data when a person asks for it. What cannot be fetched now is
 * asked for when it is shown.
 */
export function useEveryStage(): void {
  const [atHand, ahead] = [useAtHand(), useAhead()]
  const { house, load } = useHouseCatalogue()
  const { plan, failed } = useWallPlan()
  const online = useOnline()
  onNuxtReady(async () => {
    await until(() => plan.value !== undefined || failed.value !== undefined).toBe(true)
    // What was planned is drawn first.
    await new Promise(done => setTimeout(done, AFTER))
    // A browser never asks again for a part that failed once: none is asked for without a connection.
    await until(online).toBe(true)
    const parts = workerHasParts().then(async (has) => {
      if (has) return
      if (savesData() && ahead.value === 'by-itself') ahead.value = 'offered'
      await until(ahead).not.toBe('offered')
      return fetchParts()
    })
    const fetched = await Promise.allSettled([load(), parts])
    atHand.value = house.value !== undefined && fetched.every(({ status }) => status === 'fulfilled')
  })
}
