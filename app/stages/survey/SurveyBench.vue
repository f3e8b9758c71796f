<script setup lang="ts">
import type { Rect } from '~~/core/geometry'
import { isFramed } from '~~/core/survey'
import type { Bench } from '../stage'

/** Survey: what the wall is, what is around it, how its face lies, and where its structure is. */
const store = useWallStore()
const { piece, pieces } = usePiece()
const { plan } = useWallPlan()
const { selected, select } = useSelection()
const { panel, tool, height, behind } = useSurveyTool()
const { name } = useMe()
const { connected } = useInstruments()
const readings = useTemplateRef<{ addAt: (centres: number[]) => void }>('readings')
const face = useTemplateRef<{ pointAt: (x: number, y: number) => void }>('face')
watch(panel, () => { tool.value = undefined })
watch(selected, (subject) => {
  if (subject?.kind === 'member' || subject?.kind === 'reading') panel.value = 'readings'
  else if (subject?.kind === 'feature') panel.value = 'features'
})

const summary = computed(() => {
  const members = plan.value?.members ?? []
  if (!store.wall || !isFramed(store.wall))
    return plan.value?.coursing
      ? `Coursing ${plan.value.coursing.sd.x === undefined ? 'as entered' : 'from joint readings'}`
      : 'Solid wall: fix anywhere'
  const proved = members.filter(member => member.proved).length
  const counted = `${members.length} ${members.length === 1 ? piece.value : pieces.value}`
  return store.wall.structure.members?.length ? `${counted} known` : `${counted}, ${proved} confirmed`
})

/** A click on the elevation, mm: what is chosen to be entered is entered there. */
function pointed({ x, y }: { x: number, y: number }) {
  if (connected.value) return connected.value.holdAt(x)
  const chosen = tool.value
  if (chosen?.enters === 'member') readings.value?.addAt([Math.round(x)])
  else if (chosen?.enters === 'surface') face.value?.pointAt(Math.round(x), Math.round(y))
  else if (chosen?.enters === 'reading') {
    const reference = store.wall!.references?.find(({ id }) => id === behind.value)
    const place = reference
      ? { x: Math.round(reference.front + reference.back - x), side: 'back' as const, reference: reference.id }
      : { x: Math.round(x) }
    store.edit('Add reading', wall =>
      addReadings(
        wall,
        [{ method: chosen.method, ...chosen.answer, ...place, y: Math.round(y) }],
        name.value,
        new Date().toISOString(),
      ),
    )
    height.value = Math.round(y)
  }
}
/** A rectangle drawn on the elevation, mm. */
function drawn(rect: Rect) {
  if (tool.value?.enters !== 'feature') return
  const { kind } = tool.value
  store.edit(`Draw feature: ${featureName(kind)}`, (wall) => { select('feature', addFeature(wall, kind, rect)) })
  tool.value = undefined
}
defineExpose<Bench>({ pointed, drawn })
useCommands(
  SURVEY_PANELS.map(({ id, title }) => ({
    id: `panel-${id}`,
    title: `Survey: ${title}`,
    group: 'Survey' as const,
    run: () => {
      panel.value = id
    },
  })),
)
</script>

<template>
  <BenchFrame stage="survey" title="Survey" :summary="summary">
    <BenchPanels v-model="panel" :panels="SURVEY_PANELS" label="Survey sections" />
    <ReadingsPanel v-if="panel === 'readings'" ref="readings" />
    <LazyWallPanel v-else-if="panel === 'wall'" />
    <LazyLayerList v-else-if="panel === 'layers'" />
    <LazyLoadsPanel v-else-if="panel === 'loads'" />
    <LazyFeaturesPanel v-else-if="panel === 'features'" />
    <LazyFlatnessPanel v-else ref="face" />
  </BenchFrame>
</template>
