<script setup lang="ts">
import VueApexCharts from 'vue3-apexcharts'
import type { Learned } from '~~/core/programme/learned'
import { PROOF_WORDS, STOPPED_WORDS } from '~~/core/programme/lessons'
import { cases, heightOf, tenth } from './cases'

/** What the firm's own logs tell, drawn; what nothing was logged of is left out. */
const { learned } = defineProps<{ learned: Learned }>()
const { colours, base, theme } = useChart()
const proofs = computed(() => learned.proofs.filter(({ holes }) => holes > 0))
const proofsChart = computed(() => ({
  series: [{ name: 'missed of a hundred', data: proofs.value.map(({ perHundred }) => tenth(perHundred!)) }],
  options: { ...base.value, colors: [colours.value.flag], plotOptions: { bar: { horizontal: true, barHeight: '55%' } }, legend: { show: false }, xaxis: { min: 0, max: Math.max(10, ...proofs.value.map(({ perHundred }) => Math.ceil(perHundred!))), categories: proofs.value.map(({ proof, holes, missed }) => [PROOF_WORDS[proof], `${missed} of ${cases(holes, 'hole', 'holes')}`]), title: { text: 'missed of a hundred', style: { fontSize: '11px', fontWeight: 400 } } }, yaxis: { labels: { maxWidth: 180 } } },
}))
const stops = computed(() => learned.stops.filter(({ times }) => times > 0))
const stopsChart = computed(() => ({
  series: [{ name: 'middle, min', data: stops.value.map(({ middle }) => tenth(middle!)) }],
  options: { ...base.value, colors: [colours.value.stop], plotOptions: { bar: { horizontal: true, barHeight: '55%' } }, legend: { show: false }, xaxis: { min: 0, categories: stops.value.map(({ by, times }) => [STOPPED_WORDS[by], cases(times, 'time', 'times')]), title: { text: 'min until the work went on', style: { fontSize: '11px', fontWeight: 400 } } }, yaxis: { labels: { maxWidth: 180 } } },
}))
</script>

<template>
  <div class="grid items-start gap-6 lg:grid-cols-2">
    <div class="space-y-6">
      <PlannedActual :learned="learned" />
      <section aria-label="What stops cost">
        <h2 class="font-semibold">
          What stops cost
        </h2>
        <VueApexCharts v-if="stops.length" :key="theme" type="bar" :height="heightOf(stops.length)" :series="stopsChart.series" :options="stopsChart.options" />
        <p v-else class="text-sm">
          Nothing has stopped the work yet.
        </p>
        <p v-for="stop in stops" :key="stop.by" class="text-sm">
          {{ STOPPED_WORDS[stop.by].charAt(0).toUpperCase() + STOPPED_WORDS[stop.by].slice(1) }}: {{ cases(stop.times, 'time', 'times') }}, {{ tenth(stop.total) }} min in all, from what stopped it to the next thing recorded on that day.
        </p>
      </section>
    </div>
    <div class="space-y-6">
      <PieceTable :learned="learned" />
      <section aria-label="Rounds of truing" data-testid="mounts">
        <h2 class="font-semibold">
          Rounds until seams close
        </h2>
        <p v-if="learned.mounts.length === 0" class="text-sm">
          No wall was trued yet.
        </p>
        <table v-else class="w-full text-left text-sm">
          <thead class="text-xs text-ink-soft">
            <tr>
              <th class="font-normal">
                Mount
              </th>
              <th class="text-right font-normal">
                Rounds, middle
              </th>
              <th class="text-right font-normal">
                Closed
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
          Does proof of framing pay?
        </h2>
        <VueApexCharts v-if="proofs.length" :key="theme" type="bar" :height="heightOf(proofs.length)" :series="proofsChart.series" :options="proofsChart.options" />
        <p v-else class="text-sm">
          No hole into framing was recorded against an issued mark-out yet.
        </p>
        <p class="text-xs text-ink-soft">
          First drilling of each hole into a stud, by what its stud was known by when the mark-out was issued.
        </p>
      </section>
    </div>
  </div>
</template>
