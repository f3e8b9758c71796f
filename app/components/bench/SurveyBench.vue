<script setup lang="ts">
import type { Rect } from '~~/core/geometry'
import { isFramed } from '~~/core/survey'

/** Survey: what the wall is, what is around it, how its face lies, and where its structure is. */
const store = useWallStore()
const { plan } = useWallPlan()
const { selected } = useSelection()
const { leaf, tool, height, behind } = useSurveyTool()
const { name } = usePreferences()
const { connected } = useInstruments()
const readings = useTemplateRef<{ addAt: (centres: number[]) => void }>('readings')
const face = useTemplateRef<{ pointAt: (x: number, y: number) => void }>('face')
watch(leaf, () => { tool.value = undefined })
watch(selected, (id) => {
  if (/^(member-\d+|e\d+)$/.test(id)) leaf.value = 'readings'
  else if (store.wall?.features?.some(feature => feature.id === id)) leaf.value = 'around'
})

const summary = computed(() => {
  const members = plan.value?.members ?? []
  if (!store.wall || !isFramed(store.wall)) return plan.value?.coursing ? `Coursing ${plan.value.coursing.sd.x === undefined ? 'as entered' : 'from joints read'}` : 'The wall carries all over'
  const proved = members.filter(member => member.proved).length
  return store.wall.structure.members?.length ? `${members.length} members known` : `${members.length} members, ${proved} proved`
})

/** A click on the elevation, mm: what is chosen to be entered is entered there. */
function pointed({ x, y }: { x: number, y: number }) {
  if (connected.value) return connected.value.holdAt(x)
  const chosen = tool.value
  if (chosen?.enters === 'member') readings.value?.addAt([Math.round(x)])
  else if (chosen?.enters === 'surface') face.value?.pointAt(Math.round(x), Math.round(y))
  else if (chosen?.enters === 'reading') {
    const reference = store.wall!.references?.find(({ id }) => id === behind.value)
    const place = reference ? { x: Math.round(reference.front + reference.back - x), side: 'back' as const, reference: reference.id } : { x: Math.round(x) }
    store.edit('Add a reading', wall => addReadings(wall, [{ method: chosen.method, ...chosen.answer, ...place, y: Math.round(y) }], name.value, new Date().toISOString()))
    height.value = Math.round(y)
  }
}
/** A rectangle drawn on the elevation, mm. */
function drawn(rect: Rect) {
  if (tool.value?.enters !== 'feature') return
  const { kind } = tool.value
  store.edit(`Draw: ${featureName(kind)}`, (wall) => { selected.value = addFeature(wall, kind, rect) })
  tool.value = undefined
}
defineExpose({ pointed, drawn })
useCommands(SURVEY_LEAVES.map(({ id, title }) => ({ id: `leaf-${id}`, title: `Survey: ${title}`, group: 'Survey' as const, run: () => { leaf.value = id } })))
</script>

<template>
  <BenchFrame stage="survey" title="Survey" :summary="summary">
    <BenchLeaves v-model="leaf" :leaves="SURVEY_LEAVES" label="Parts of the survey" />
    <ReadingsLeaf v-if="leaf === 'readings'" ref="readings" />
    <LazyWallLeaf v-else-if="leaf === 'wall'" />
    <LazyLayerList v-else-if="leaf === 'layers'" />
    <LazyAroundLeaf v-else-if="leaf === 'around'" />
    <LazyFaceLeaf v-else ref="face" />
  </BenchFrame>
</template>
