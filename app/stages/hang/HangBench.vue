<script setup lang="ts">
import { useWakeLock } from '@vueuse/core'

/**
 * Hang: what the work needs, its steps, the holes to make, one at a time, and the screens in the order in which they
 * are hung.
 */
const PANELS = [
  { id: 'prepare', title: 'Prepare' },
  { id: 'steps', title: 'Steps' },
  { id: 'holes', title: 'Holes' },
  { id: 'screens', title: 'Screens' },
] as const
const panel = useScreenState<typeof PANELS[number]['id']>('hang-panel', () => 'holes')
useCommands(
  PANELS.map(({ id, title }) => ({
    id: `hang-${id}`,
    title: `Hang: ${title}`,
    group: 'Hang' as const,
    run: () => {
      panel.value = id
    },
  })),
)
const { current, newer, last } = useRevisionAtWall()
const { reading } = useWallPlan()
// At the wall nothing is read but what was issued.
watchEffect(() => { reading.value = current.value?.frozen })
const { isSupported, request, release } = useWakeLock()
onMounted(() => { if (isSupported.value) void request('screen').catch(() => {}) })
onScopeDispose(() => {
  reading.value = undefined
  void release().catch(() => {})
})
</script>

<template>
  <section class="flex h-full min-h-0 flex-col gap-1 px-4 pb-3 pt-2" aria-label="Hang">
    <NotIssued v-if="!current" :elsewhere="last" />
    <RevisionChanged v-else-if="newer" :from="current" :to="newer" />
    <template v-else>
      <BenchPanels v-model="panel" :panels="PANELS" label="Hang sections" />
      <PreparePanel v-if="panel === 'prepare'" />
      <StepsPanel v-else-if="panel === 'steps'" @holes="panel = 'holes'" />
      <HolePanel v-else-if="panel === 'holes'" />
      <HangingPanel v-else />
    </template>
  </section>
</template>
