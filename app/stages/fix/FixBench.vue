<script setup lang="ts">
/**
 * Fix: which fastener holds the plates and how far each load uses it, how it is set, and which screw goes into the
 * display.
 */
const store = useWallStore()
const { array, fixing, pairs, pair, keyOf, pairOptions } = useFixing()
const summary = computed(() => {
  const use = fixing.value?.cases[0]?.utilisation
  return fixing.value
    ? `Utilisation ${use === undefined ? 'not known' : `${Math.round(100 * use)} %`}`
    : 'Nothing to fix yet'
})
const PANELS = [
  { id: 'wall', title: 'Into the wall' },
  { id: 'set', title: 'Drilling' },
  { id: 'charts', title: 'Charts' },
  { id: 'display', title: 'Display' },
] as const
const panel = useScreenState<typeof PANELS[number]['id']>('fix-panel', () => 'wall')
useCommands(
  PANELS.map(({ id, title }) => ({
    id: `fix-${id}`,
    title: `Fix: ${title.toLowerCase()}`,
    group: 'Fix' as const,
    run: () => {
      panel.value = id
    },
  })),
)
</script>

<template>
  <BenchFrame stage="fix" title="Fix" :summary="summary">
    <p v-if="!fixing" class="text-sm">
      Arrange the displays and choose a mount first.
    </p>
    <template v-else-if="array">
      <BenchPanels v-model="panel" :panels="PANELS" label="Fix sections" />
      <ChoiceField
        v-if="store.arrays.length > 1"
        inline
        label="Array"
        :value="array.id"
        :options="store.arrays.map(({ id, name }) => ({ value: id, label: name }))"
        :commit="(id) => { store.arrayId = id; return [] }"
      />
      <ChoiceField
        v-if="pairs.length > 1"
        label="Display and mount"
        :value="keyOf(fixing)"
        :options="pairOptions"
        :commit="(value) => { pair = value; return [] }"
      />
      <FastenerPanel v-if="panel === 'wall'" />
      <DrivePanel v-else-if="panel === 'set'" />
      <LazyFixCharts v-else-if="panel === 'charts'" />
      <ScrewPanel v-else />
      <p class="text-xs text-ink-soft">
        Planning aid: makers’ instructions, local code and a licensed engineer take precedence. Detect live cables
        before drilling.
      </p>
    </template>
  </BenchFrame>
</template>
