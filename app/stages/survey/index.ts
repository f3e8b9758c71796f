import type { StageRoom } from '../stage'

const canvas = () => import('./useSurveyCanvas').then(({ useSurveyCanvas }) => useSurveyCanvas)
const bench = () => import('./SurveyBench.vue')
const ledger = () => import('./SurveyLedger.vue')
const table = () => import('./EvidenceImport.vue')

/** Survey: what the wall is and where its structure lies. */
export const surveyStage: StageRoom = {
  id: 'survey',
  title: 'Survey',
  does: 'Wall, structure and studs',
  bench: defineAsyncComponent(bench),
  ledger: defineAsyncComponent(ledger),
  canvas,
  parts: [
    canvas,
    bench,
    ledger,
    table,
    () => import('./WallPanel.vue'),
    () => import('./LayerList.vue'),
    () => import('./FeaturesPanel.vue'),
    () => import('./FlatnessPanel.vue'),
    () => import('../../drawing/DraftSurvey.vue'),
  ],
}
