import { until } from '@vueuse/core'

/** Parts that are fetched only when they are first shown. */
const PARTS = [
  () => import('~/components/bench/SurveyBench.vue'), () => import('~/components/bench/MountBench.vue'), () => import('~/components/bench/FixBench.vue'),
  () => import('~/components/bench/MarkBench.vue'), () => import('~/components/bench/HangBench.vue'),
  () => import('~/components/survey/WallPanel.vue'), () => import('~/components/survey/LayerList.vue'), () => import('~/components/survey/FeaturesPanel.vue'), () => import('~/components/survey/FlatnessPanel.vue'),
  () => import('~/components/survey/EvidenceImport.vue'), () => import('~/components/arrange/PicturePanel.vue'), () => import('~/components/arrange/ViewersPanel.vue'),
  () => import('~/components/arrange/ScreenPanel.vue'), () => import('~/components/arrange/ArraysPanel.vue'), () => import('~/components/arrange/AlternativesView.vue'),
  () => import('~/components/mount/RemediesPanel.vue'), () => import('~/components/mount/DepthPanel.vue'), () => import('~/components/mount/DepthSection.vue'), () => import('~/components/fix/FixCharts.vue'),
  () => import('~/components/ledger/SurveyLedger.vue'), () => import('~/components/ledger/MarkLedger.vue'), () => import('~/components/draft/DraftSurvey.vue'),
  () => import('~/components/shell/CommandPalette.vue'), () => import('~/components/shell/KeySheet.vue'), () => import('~/components/shell/ConflictBanner.vue'), () => import('~/components/shell/RefusedList.vue'), () => import('~~/core/mark/sheet'),
]

/** So long after the first plan the rest is fetched, ms. */
const AFTER = 500

/** Whether every stage is at hand, so that the wall can be worked without signal. */
export const useAtHand = () => useState('every-bench-at-hand', () => false)

/**
 * Fetches every stage's bench, and the firm's catalogue, once the first one is drawn: at the wall there is often no signal by
 * the time that the next stage is opened. What cannot be fetched now is asked for when it is shown.
 */
export function useEveryBench(): void {
  const atHand = useAtHand()
  const { house, load } = useHouseCatalogue()
  const { plan, failed } = useWallPlan()
  onNuxtReady(async () => {
    await until(() => plan.value !== undefined || failed.value !== undefined).toBe(true)
    // What was planned is drawn first.
    await new Promise(done => setTimeout(done, AFTER))
    const fetched = await Promise.allSettled([load(), ...PARTS.map(part => part())])
    atHand.value = house.value !== undefined && fetched.every(({ status }) => status === 'fulfilled')
  })
}
