<script setup lang="ts">
import { withPlanned } from '~~/core/programme'
import { learnedFrom } from '~~/core/programme/lessons/learned'

/** What the firm learns from its own logs, with the number of cases beside every figure. */
const store = useProgrammeStore()
if (!useSessionStore().may('programme.plan')) await navigateTo('/programme/week', { replace: true })
const learned = computed(
  () =>
    store.data
    && learnedFrom(
      store.data.walls.flatMap(({ samples = [], plannedMinutes = [] }) => withPlanned(samples, plannedMinutes)),
      store.data.walls.flatMap(({ lessons }) => lessons ?? []),
      new Map(store.settings.minutes?.map(({ sort, minutes }) => [sort, minutes])),
    ),
)
const LearnedCharts = defineAsyncComponent(() => import('~/components/programme/LearnedCharts.vue'))
</script>

<template>
  <ProgrammeFrame title="Lessons learned">
    <main tabindex="0" aria-label="Lessons learned" class="mx-auto w-full max-w-6xl flex-1 overflow-y-auto p-4">
      <h1 class="mb-1 text-2xl font-bold">
        Lessons learned
      </h1>
      <p class="mb-4 text-sm text-ink-soft">
        From the firm’s own logs only. Every figure shows its number of cases; few cases are not conclusive.
      </p>
      <LearnedCharts v-if="learned" :learned="learned" />
    </main>
  </ProgrammeFrame>
</template>
