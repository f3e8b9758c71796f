import { knownFraming } from '~~/core/survey'
import type { DragOffset } from '../../drawing/useDraftDrag'
import type { Canvas, StageRoom } from '../stage'

const bench = () => import('./SurveyBench.vue')
const ledger = () => import('./SurveyLedger.vue')
const table = () => import('./EvidenceImport.vue')
const EvidenceImport = defineAsyncComponent(table)

function useCanvas(): ComputedRef<Canvas> {
  const store = useWallStore()
  const { plan } = useWallPlan()
  const { tool, importing } = useSurveyTool()
  const { connected } = useInstruments()
  const { members } = useTape()
  const edit = useDragEdit()
  function movingMember(id: string, { x }: DragOffset) {
    const index = plan.value?.members.findIndex(member => member.id === id) ?? -1
    edit.show(`Move stud ${index + 1}`, (wall) => {
      const from = knownFraming(wall.structure).find(member => member.id === id)
      if (from) editMember(wall, id, { centre: Math.round(from.centre + x) })
    })
  }
  const draws = computed(() => {
    if (store.conflict) return undefined
    return tool.value?.enters === 'feature' ? 'rect' : tool.value || connected.value ? 'point' : undefined
  })
  return computed(() => ({
    ghost: true, surveying: true, tape: members.value, draws: draws.value, movingMember, moved: edit.letGo,
    movable: !store.conflict && !draws.value && store.wall?.structure.members?.length ? 'members' : undefined,
    inPlace: importing.value ? EvidenceImport : undefined,
  }))
}

/** Survey: what the wall is and where its structure lies. */
export const surveyStage: StageRoom = {
  id: 'survey', title: 'Survey', does: 'Wall, structure and studs',
  bench: defineAsyncComponent(bench), ledger: defineAsyncComponent(ledger), useCanvas,
  parts: [bench, ledger, table, () => import('./WallPanel.vue'), () => import('./LayerList.vue'), () => import('./FeaturesPanel.vue'), () => import('./FlatnessPanel.vue'), () => import('../../drawing/DraftSurvey.vue')],
}
