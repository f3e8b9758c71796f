<script setup lang="ts">
import VueApexCharts from 'vue3-apexcharts'
import type { Learned } from '~~/core/programme/lessons/learned'
import { cases, heightOf, tenth } from './cases'

/** What work took beside what was planned for it when it was published. */
const { learned } = defineProps<{ learned: Learned }>()
const { colours, base, theme } = useChart()
const compared = computed(() =>
  learned.minutes.flatMap(({ sort, title, compared }) =>
    compared ? [{ sort, title, ...compared, more: Math.round(100 * (compared.actual / compared.planned - 1)) }] : [],
  ),
)
const chart = computed(() => ({
  series: [
    { name: 'planned', data: compared.value.map(({ planned, pieces }) => tenth(planned / pieces)) },
    { name: 'actual', data: compared.value.map(({ actual, pieces }) => tenth(actual / pieces)) },
  ],
  options: {
    ...base.value,
    colors: [colours.value.soft, colours.value.good],
    plotOptions: { bar: { horizontal: true, barHeight: '70%' } },
    xaxis: {
      categories: compared.value.map(({ title, logs }) => [title, cases(logs, 'entry', 'entries')]),
      title: { text: 'minutes per unit', style: { fontSize: '11px', fontWeight: 400 } },
    },
    yaxis: { labels: { maxWidth: 180 } },
  },
}))
/** How much longer or shorter it took, in words. */
const moreWords = (more: number) => more === 0 ? 'as planned' : `${Math.abs(more)} % ${more > 0 ? 'more' : 'less'}`
</script>

<template>
  <section aria-label="Planned against actual">
    <h2 class="font-semibold">
      Planned against actual
    </h2>
    <VueApexCharts
      v-if="compared.length"
      :key="theme"
      type="bar"
      :height="heightOf(compared.length)"
      :series="chart.series"
      :options="chart.options"
    />
    <p v-else class="text-sm">
      No published work has logged times yet.
    </p>
    <p v-for="each in compared" :key="each.sort" class="text-sm">
      {{ each.title }}: planned <b class="figures">{{ tenth(each.planned) }}</b> min, actual
      <b class="figures">{{ tenth(each.actual) }}</b> min ({{ moreWords(each.more) }}), from
      {{ cases(each.logs, 'entry', 'entries') }}.
    </p>
    <p class="text-xs text-ink-soft">
      Logged time per unit, compared with the last schedule published before the work.
    </p>
  </section>
</template>
