<script setup lang="ts">
import { isSeam } from './places'

/** True: how likely the wall is to close, seams and steps as they were read, and which adjuster to turn how far. */
const PANELS = [
  { id: 'study', title: 'Study' },
  { id: 'read', title: 'Readings' },
  { id: 'turn', title: 'Turns' },
] as const
const panel = useScreenState<typeof PANELS[number]['id']>('true-panel', () => 'read')
useCommands(
  PANELS.map(({ id, title }) => ({
    id: `true-${id}`,
    title: `True: ${title}`,
    group: 'True' as const,
    run: () => {
      panel.value = id
    },
  })),
)
const store = useWallStore()
const { array } = useTruing()
const { places } = useReadings()
const choices = computed(() => store.arrays.map(({ id, name }) => ({ value: id, label: name })))
const choose = (id: string) => {
  store.arrayId = id
  return []
}
</script>

<template>
  <section class="flex h-full min-h-0 flex-col gap-2 px-4 pb-3 pt-2" aria-label="True">
    <h1 class="text-xl font-bold leading-tight max-md:sr-only">
      True
    </h1>
    <WaitsNote stage="true" />
    <p v-if="!array" class="text-sm">
      No array to true yet. Arrange the displays first.
    </p>
    <template v-else>
      <ChoiceField
        v-if="choices.length > 1"
        label="Array"
        :value="array.id"
        :options="choices"
        :commit="choose"
        inline
      />
      <p v-if="places.every(place => !isSeam(place))" class="text-sm">
        A single screen has no seams. Check its level, then continue to Close.
      </p>
      <template v-else>
        <BenchPanels v-model="panel" :panels="PANELS" label="True sections" />
        <StudyPanel v-if="panel === 'study'" />
        <ReadingsPad v-else-if="panel === 'read'" @recorded="panel = 'turn'" />
        <TurnsPanel v-else />
      </template>
    </template>
  </section>
</template>
