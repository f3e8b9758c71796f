import { knownFraming } from '~~/core/survey'
import type { DragOffset } from '../../drawing/useDraftDrag'
import type { Canvas } from '../stage'

const EvidenceImport = defineAsyncComponent(() => import('./EvidenceImport.vue'))

/** How the drawing is in Survey. */
export function useSurveyCanvas(): ComputedRef<Canvas> {
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
