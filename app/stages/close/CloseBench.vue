<script setup lang="ts">
/** Close: how it was built, its screens, handing it over, and service in later years. */
const PANELS = [
  { id: 'built', title: 'As built' },
  { id: 'screens', title: 'Screens' },
  { id: 'checks', title: 'Checks' },
  { id: 'hand', title: 'Handover' },
  { id: 'service', title: 'Service' },
] as const
const store = useWallStore()
const panel = useScreenState<(typeof PANELS)[number]['id']>('close-panel', () =>
  store.allLog.some(({ kind }) => kind === 'signed') ? 'service' : 'built',
)
useCommands(
  PANELS.map(({ id, title }) => ({
    id: `close-${id}`,
    title: `Close: ${title}`,
    group: 'Close' as const,
    run: () => {
      panel.value = id
    },
  })),
)
</script>

<template>
  <section class="flex h-full min-h-0 flex-col gap-2 px-4 pb-3 pt-2" aria-label="Close">
    <h1 class="text-xl font-bold leading-tight max-md:sr-only">
      Close
    </h1>
    <WaitsNote stage="close" />
    <BenchPanels v-model="panel" :panels="PANELS" label="Close sections" />
    <div
      class="min-h-0 flex-1 overflow-y-auto"
      tabindex="0"
      role="group"
      :aria-label="PANELS.find(({ id }) => id === panel)!.title"
    >
      <BuiltPanel v-if="panel === 'built'" />
      <ScreensPanel v-else-if="panel === 'screens'" />
      <ChecksPanel v-else-if="panel === 'checks'" />
      <HandPanel v-else-if="panel === 'hand'" />
      <ServicePanel v-else />
    </div>
  </section>
</template>
