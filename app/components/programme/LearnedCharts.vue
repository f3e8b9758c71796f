<script setup lang="ts">
import VueApexCharts from 'vue3-apexcharts'
import type { Learned } from '~~/core/programme/lessons/learned'
import { PROOF_WORDS, STOPPED_WORDS } from '~~/core/programme/lessons/lessons'
import { cases, heightOf, tenth } from './cases'

/** What the firm's own logs tell, drawn; what nothing was logged of is left out. */
const { learned } = defineProps<{ learned: Learned }>()
const { colours, base, theme } = useChart()
const proofs = computed(() => learned.proofs.filter(({ holes }) => holes > 0))
const proofsChart = computed(() => ({
  series: [{ name: 'missed holes (%)', data: proofs.value.map(({ perHundred }) => tenth(perHundred!)) }],
  options: {
    ...base.value,
    colors: [colours.value.flag],
    plotOptions: { bar: { horizontal: true, barHeight: '55%' } },
    legend: { show: false },
    xaxis: {
      min: 0,
      max: Math.max(10, ...proofs.value.map(({ perHundred }) => Math.ceil(perHundred!))),
      categories: proofs.value.map(({ proof, holes, missed }) => [
        PROOF_WORDS[proof],
        `${missed} of ${cases(holes, 'hole', 'holes')}`,
      ]),
      title: { text: 'missed holes (%)', style: { fontSize: '11px', fontWeight: 400 } },
    },
    yaxis: { labels: { maxWidth: 180 } },
  },
}))
const stops = computed(() => learned.stops.filter(({ times }) => times > 0))
const stopsChart = computed(() => ({
  series: [{ name: 'median (min)', data: stops.value.map(({ middle }) => tenth(middle!)) }],
  options: {
    ...base.value,
    colors: [colours.value.stop],
    plotOptions: { bar: { horizontal: true, barHeight: '55%' } },
    legend: { show: false },
    xaxis: {
      min: 0,
      categories: stops.value.map(({ by, times }) => [STOPPED_WORDS[by], cases(times, 'time', 'times')]),
      title: { text: 'minutes until work resumed', style: { fontSize: '11px', fontWeight: 400 } },
    },
    yaxis: { labels: { maxWidth: 180 } },
  },
}))
</script>

<template>
  <div class="grid items-start gap-6 lg:grid-cols-2">
    <div class="space-y-6">
      <PlannedActual :learned="learned" />
      <section aria-label="Interruptions">
        <h2 class="font-semibold">
          Interruptions
        </h2>
        <VueApexCharts
          v-if="stops.length"
          :key="theme"
          type="bar"
          :height="heightOf(stops.length)"
          :series="stopsChart.series"
          :options="stopsChart.options"
        />
        <p v-else class="text-sm">
          No interruptions recorded yet.
        </p>
        <p v-for="stop in stops" :key="stop.by" class="text-sm">
          {{ STOPPED_WORDS[stop.by].charAt(0).toUpperCase() + STOPPED_WORDS[stop.by].slice(1) }}:
          {{ cases(stop.times, 'time', 'times') }}, {{ tenth(stop.total) }} min in total, from the interruption to the
          next entry of that day.
        </p>
      </section>
    </div>
    <div class="space-y-6">
      <PieceTable :learned="learned" />
      <section aria-label="Truing rounds" data-testid="mounts">
        <h2 class="font-semibold">
          Truing rounds until within tolerance
        </h2>
        <p v-if="learned.mounts.length === 0" class="text-sm">
          No wall has been trued yet.
        </p>
        <table v-else class="w-full text-left text-sm">
          <thead class="text-xs text-ink-soft">
            <tr>
              <th class="font-normal">
                Mount
              </th>
              <th class="text-right font-normal">
                Rounds (median)
              </th>
              <th class="text-right font-normal">
                Within tolerance
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="mount in learned.mounts" :key="mount.mount" class="border-t border-hair">
              <td class="py-1">
                {{ mount.mount }}
              </td>
              <td class="figures text-right">
                {{ mount.rounds ?? 'not known' }}
              </td>
              <td class="figures text-right">
                {{ mount.closed }} of {{ mount.walls }}
              </td>
            </tr>
          </tbody>
        </table>
      </section>
      <section aria-label="Missed holes">
        <h2 class="font-semibold">
          Missed holes by stud confirmation
        </h2>
        <VueApexCharts
          v-if="proofs.length"
          :key="theme"
          type="bar"
          :height="heightOf(proofs.length)"
          :series="proofsChart.series"
          :options="proofsChart.options"
        />
        <p v-else class="text-sm">
          No hole into a stud has been recorded against an issued revision yet.
        </p>
        <p class="text-xs text-ink-soft">
          First drilling of each hole into a stud, by how the stud was confirmed when the revision was issued.
        </p>
      </section>
    </div>
  </div>
</template>
