<script setup lang="ts">
/** Hang: the holes to make, one at a time, and the screens in the order in which they are hung. */
const PANELS = [{ id: 'holes', title: 'Holes' }, { id: 'screens', title: 'Screens' }] as const
const panel = useScreenState<typeof PANELS[number]['id']>('hang-panel', () => 'holes')
useCommands(PANELS.map(({ id, title }) => ({ id: `hang-${id}`, title: `Hang: ${title}`, group: 'Hang' as const, run: () => { panel.value = id } })))
</script>

<template>
  <section class="flex h-full min-h-0 flex-col gap-1 px-4 pb-3 pt-2" aria-label="Hang">
    <BenchPanels v-model="panel" :panels="PANELS" label="Parts of hanging" />
    <HolePanel v-if="panel === 'holes'" />
    <LazyHangingPanel v-else />
  </section>
</template>
