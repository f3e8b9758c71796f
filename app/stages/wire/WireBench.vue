<script setup lang="ts">
/** Wire: what feeds the screens, the boxes that power comes out of, and its way there. */
const { plan } = useWallPlan()
const PANELS = [{ id: 'power', title: 'Power' }, { id: 'boxes', title: 'Boxes' }, { id: 'routes', title: 'Routes' }] as const
const panel = useScreenState<typeof PANELS[number]['id']>('wire-panel', () => 'power')
useCommands(PANELS.map(({ id, title }) => ({ id: `wire-${id}`, title: `Wire: ${title}`, group: 'Wire' as const, run: () => { panel.value = id } })))
const summary = computed(() => {
  const wiring = plan.value?.wiring
  if (!wiring || wiring.loads.length === 0) return 'Nothing to wire yet'
  const used = wiring.circuits.filter(({ screens }) => screens.length > 0).length
  const fed = wiring.circuits.reduce((sum, { screens }) => sum + screens.length, 0)
  return `${fed} of ${wiring.loads.length} screens fed by ${used} ${used === 1 ? 'circuit' : 'circuits'}; ${wiring.boxes.filter(({ held }) => held).length} of ${wiring.boxes.length} boxes in place`
})
</script>

<template>
  <BenchFrame stage="wire" title="Wire" :summary="summary">
    <BenchPanels v-model="panel" :panels="PANELS" label="Parts of the wiring" />
    <PowerPanel v-if="panel === 'power'" />
    <LazyBoxesPanel v-else-if="panel === 'boxes'" />
    <LazyRoutesPanel v-else />
    <p class="text-xs text-ink-soft">
      The figure under a box on the drawing is the number of its circuit.
    </p>
    <p class="text-xs text-ink-soft">
      Cables with their lengths, and signal, are not worked out yet. Fixed wiring is for licensed people.
    </p>
  </BenchFrame>
</template>
