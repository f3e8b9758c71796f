<script setup lang="ts">
import { plural } from '~~/core/units/plural'
/** Wire: what feeds the screens, the boxes that power and signal come out of, their ways there, and the cables. */
const { plan } = useWallPlan()
const { panel, stopping, stoppedAt } = useWire()
useCommands(
  WIRE_PANELS.map(({ id, title }) => ({
    id: `wire-${id}`,
    title: `Wire: ${title}`,
    group: 'Wire' as const,
    run: () => {
      panel.value = id
    },
  })),
)
const summary = computed(() => {
  const wiring = plan.value?.wiring
  if (!wiring || wiring.loads.length === 0) return 'Nothing to wire yet'
  const used = wiring.circuits.filter(({ screens }) => screens.length > 0).length
  const fed = wiring.circuits.reduce((sum, { screens }) => sum + screens.length, 0)
  return (
    `${fed} of ${wiring.loads.length} screens fed `
    + `by ${plural(used, 'circuit')}; ${wiring.boxes.filter(({ held }) => held).length} of `
    + `${wiring.boxes.length} boxes placed`
  )
})
defineExpose({
  pointed: ({ y }: { x: number, y: number }) => { if (stopping.value) stoppedAt.value = Math.round(y / 5) * 5 },
})
</script>

<template>
  <BenchFrame stage="wire" title="Wire" :summary="summary">
    <BenchPanels v-model="panel" :panels="WIRE_PANELS" label="Wire sections" />
    <PowerPanel v-if="panel === 'power'" />
    <LazyBoxesPanel v-else-if="panel === 'boxes'" />
    <LazyRoutesPanel v-else-if="panel === 'routes'" />
    <LazySchedulePanel v-else />
  </BenchFrame>
</template>
