<script setup lang="ts">
import VueApexCharts from 'vue3-apexcharts'
import type { ReadAt } from '~~/core/close'

/** The worst gap and the worst step of each reading, over the years. */
const { readings } = defineProps<{ readings: ReadAt[] }>()
const { showThin, system } = useUnits()
const { colours, base, theme } = useChart()
const series = computed(() =>
  (['gap', 'step'] as const).map(of => ({
    name: `worst ${of}`,
    data: readings.map(reading => ({ x: Date.parse(reading.at), y: reading[of] })),
  })),
)
const options = computed(() => ({
  ...base.value,
  colors: [colours.value.good, colours.value.flag],
  stroke: { width: 2, dashArray: [0, 5] },
  markers: { size: 4 },
  xaxis: { type: 'datetime' as const },
  yaxis: { min: 0, tickAmount: 3, labels: { formatter: (value: number) => showThin(value) } },
}))
</script>

<template>
  <VueApexCharts
    :key="`${system} ${theme} ${readings.length}`"
    type="line"
    height="180"
    :options="options"
    :series="series"
  />
</template>
