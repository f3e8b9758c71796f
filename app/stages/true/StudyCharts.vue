<script setup lang="ts">
import VueApexCharts from 'vue3-apexcharts'
import type { Studied } from './useStudy'

/**
 * How far off the worst seam stays once the adjusters have done what they can; and how likely the wall is to close
 * without each cause, and with what would better it.
 */
const { studied } = defineProps<{ studied: Studied }>()
const { showFine, suffix, system } = useUnits()
const { colours, base, theme } = useChart()
const spread = computed(() => studied.study.spread)
const share = (count: number) => Math.round(1000 * count / studied.study.trials) / 10
const middle = (n: number) => (n + 0.5) * spread.value.width
const histogram = computed(() => ({
  series: (
    [
      ['from one datum', spread.value.running],
      ['mark to mark', spread.value.markToMark],
    ] as const
  ).map(([name, bins]) => ({ name, data: bins.map((count, n) => ({ x: middle(n), y: share(count) })) })),
  options: {
    ...base.value,
    colors: [colours.value.good, colours.value.flag],
    stroke: { curve: 'stepline' as const, width: 2, dashArray: [0, 5] },
    xaxis: {
      type: 'numeric' as const,
      min: 0,
      tickAmount: 4,
      labels: { formatter: (value: string) => showFine(Number(value)) },
      title: {
        text: `worst seam deviation, ${suffix.value || 'ft in'}; last value and above`,
        style: { fontSize: '11px', fontWeight: 400 },
      },
    },
    yaxis: {
      min: 0,
      max: (most: number) => Math.min(100, Math.ceil(most / 10) * 10),
      tickAmount: 4,
      labels: { formatter: (value: number) => `${Math.round(value)} %` },
    },
    annotations: {
      xaxis: [
        {
          x: studied.tolerance,
          borderColor: colours.value.stop,
          strokeDashArray: 0,
          label: {
            text: 'tolerance',
            orientation: 'horizontal',
            textAnchor: 'start',
            offsetX: 4,
            offsetY: 14,
            style: { color: '#fff', background: colours.value.stop },
          },
        },
      ],
    },
  },
}))
const CAUSES = {
  marking: 'exact marking',
  drilling: 'exact drilling',
  slack: 'no plate play',
  size: 'exact case sizes',
  faces: 'flat wall',
  squareness: 'square cases, hung level',
  slip: 'adjusters that do not slip',
  gauge: 'an exact gauge',
}
const CHANGES = {
  marking: 'half the marking error',
  drilling: 'half the drilling error',
  size: 'half the size tolerance',
  travel: 'more travel',
}
const ranked = computed(() => [
  ...studied.study.causes
    .filter(({ cause }) => !studied.notKnown.includes(cause as never))
    .map(({ cause, p }) => ({ name: CAUSES[cause], p, kind: 'without' })),
  ...studied.study.changes
    .filter(({ change }) => !studied.notKnown.includes(change as never))
    .map(({ change, p }) => ({ name: CHANGES[change], p, kind: 'with' })),
])
const causes = computed(() => ({
  series: [{ name: 'within tolerance', data: ranked.value.map(({ p }) => Math.round(1000 * p) / 10) }],
  options: {
    ...base.value,
    colors: [
      ({ dataPointIndex }: { dataPointIndex: number }) =>
        ranked.value[dataPointIndex]?.kind === 'with' ? colours.value.chalk : colours.value.good,
    ],
    legend: { show: false },
    plotOptions: { bar: { horizontal: true, barHeight: '70%' } },
    xaxis: {
      categories: ranked.value.map(({ name, p }) => `${name}: ${Math.round(1000 * p) / 10} %`),
      min: 0,
      max: 100,
      tickAmount: 4,
      labels: { formatter: (value: string) => `${value} %` },
    },
    yaxis: { labels: { maxWidth: 190, style: { fontSize: '11px' } } },
    annotations: {
      xaxis: [
        {
          x: 100 * studied.study[studied.by === 'running' ? 'running' : 'markToMark'].p,
          borderColor: colours.value.flag,
          strokeDashArray: 2,
          label: {
            text: 'as planned',
            orientation: 'horizontal',
            textAnchor: 'end',
            offsetY: -2,
            style: { color: '#fff', background: colours.value.flag },
          },
        },
      ],
    },
  },
}))
const key = computed(() => `${system.value} ${theme.value} ${studied.of}`)
</script>

<template>
  <div :key="key" class="space-y-2">
    <figure class="rounded border border-hair bg-paper p-1">
      <figcaption class="px-1 text-sm font-semibold">
        Remaining deviation of the worst seam
      </figcaption>
      <VueApexCharts type="line" height="210" :options="histogram.options" :series="histogram.series" />
    </figure>
    <figure class="rounded border border-hair bg-paper p-1">
      <figcaption class="px-1 text-sm font-semibold">
        Probability of all seams within tolerance, with…
      </figcaption>
      <VueApexCharts type="bar" height="260" :options="causes.options" :series="causes.series" />
    </figure>
  </div>
</template>
