<script setup lang="ts">
import { driftOf, handedOver } from '~~/core/close'
import type { ScreenArray } from '~~/core/job'

/** How the seams of an array have moved since it was handed over. */
const { array } = defineProps<{ array: ScreenArray }>()
const { record } = useClose()
const { showThin } = useUnits()
const DriftChart = defineAsyncComponent(() => import('./DriftChart.vue'))
const drift = computed(() =>
  record.value
    ? driftOf(
        record.value.seams.filter(each => each.array === array.id),
        array.gap,
        handedOver(record.value)?.at,
      )
    : undefined,
)
const moved = computed(() => drift.value?.seams.filter(({ by }) => Math.abs(by) >= 0.05).slice(0, 5) ?? [])
const signedThin = (mm: number) => `${mm > 0 ? '+' : '−'}${showThin(Math.abs(mm))}`
</script>

<template>
  <section v-if="drift" aria-label="Drift" class="text-sm">
    <h2 class="font-semibold">
      Seam drift
    </h2>
    <p v-if="drift.readings.length < 2">
      {{ drift.readings.length === 0 ? 'The seams have not been read yet.'
        : 'Read once. Read the seams again in True to see what has moved.' }}
    </p>
    <template v-else>
      <p data-testid="trend">
        <template v-if="drift.trend">
          Worst gap {{ signedThin(drift.trend.gap) }} per year, worst step {{ signedThin(drift.trend.step) }} per year,
          from {{ drift.readings.length }} readings.
        </template>
        <template v-else>
          No trend yet: the readings are less than a month apart.
        </template>
      </p>
      <DriftChart :readings="drift.readings" />
      <ul v-if="moved.length" class="text-xs">
        <li v-for="each in moved" :key="`${each.label} ${each.reads}`">
          {{ each.label }} {{ each.reads }}: {{ showThin(each.then) }} at handover, {{ showThin(each.now) }} now, change
          {{ signedThin(each.by) }}
        </li>
      </ul>
    </template>
  </section>
</template>
