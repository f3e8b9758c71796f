<script setup lang="ts">
import VueApexCharts from 'vue3-apexcharts'
import { caseTitle, depthCurve, familyOf, pullCurve, type LoadCase } from '~~/core/fix'

/**
 * Where a picture decides: how far each fastener is used, what pulling the row out does, and what setting it deeper
 * gains.
 */
const store = useWallStore()
const { array, wall, fixing, display, mount, worstPosition, strips, fastener, ranked } = useFixing()
const { pulled } = usePulled()
const { system, showFine, suffix, quantity } = useUnits()

const { colours, base, theme } = useChart()
const length = (mm: number) => showFine(Math.round(mm))
const newtons = (value: number) => quantity(Math.round(value), 'N')

/** The best few fasteners, and the chosen one. */
const FEW = 4
const shownFasteners = computed(() => {
  const best = ranked.value.filter(({ cases }) => cases.length > 0)
  const chosen = best.find(one => one.fastener.id === array.value?.fastener)
  return [...new Set([...chosen ? [chosen] : [], ...best])].slice(0, FEW)
})
/** The cases that are drawn: a hand’s is the worst of those where it pulls elsewhere than at the centre too. */
const caseIds = computed(() => [
  ...new Set(shownFasteners.value.flatMap(({ cases }) => cases.map(one => familyOf(one.case)))),
])
const worstOf = (cases: { case: LoadCase, utilisation: number }[], family: LoadCase) =>
  Math.max(0, ...cases.filter(one => familyOf(one.case) === family).map(({ utilisation }) => utilisation))
/** A long name in lines of a few words. */
const inLines = (name: string) => name.match(/.{1,17}(\s|$)/g)?.map(part => part.trim()) ?? [name]
const SHORT: Partial<Record<LoadCase, string>> = {
  'stowed': 'stowed', 'stowed-hand': 'stowed + hand', 'service': 'pulled out', 'service-hand': 'pulled out + hand',
  'swung': 'swung', 'swung-hand': 'swung + hand', 'maker': 'maker’s factor', 'wind': 'wind',
}
const fastenerChart = computed(() => ({
  series: caseIds.value.map(id => ({
    name: SHORT[id],
    data: shownFasteners.value.map(({ cases }) => Math.round(100 * worstOf(cases, id))),
  })),
  options: {
    ...base.value,
    colors: [colours.value.good, colours.value.chalk, colours.value.flag, colours.value.caution, colours.value.soft],
    plotOptions: { bar: { horizontal: true, barHeight: '82%' } },
    xaxis: {
      categories: shownFasteners.value.map(({ fastener }) => inLines(fastener.name ?? fastener.id)),
      labels: { formatter: (value: string) => `${value} %` },
      tickAmount: 4,
    },
    yaxis: { labels: { maxWidth: 120, style: { fontSize: '10px' } } },
    annotations: {
      xaxis: [
        {
          x: 100,
          borderColor: colours.value.stop,
          strokeDashArray: 0,
          label: { text: 'allowable', style: { color: '#fff', background: colours.value.stop } },
        },
      ],
    },
  },
}))

const pull = computed(() =>
  display.value && mount.value && fixing.value && worstPosition.value && array.value
    ? pullCurve(
        {
          display: display.value,
          mount: mount.value,
          orientation: worstPosition.value.orientation,
          wall: wall.value,
          rules: store.rules,
          standOff: fixing.value.standOff,
          ...(array.value.behind && { behind: array.value.behind }),
        },
        worstPosition.value,
        strips.value,
      )
    : [],
)
const outNow = computed(() => {
  const [first, last] = [pull.value[0]?.out ?? 0, pull.value.at(-1)?.out ?? 0]
  return first + pulled.value * (last - first)
})
const lines = (xLabel: string) => ({
  xaxis: {
    type: 'numeric' as const,
    tickAmount: 4,
    labels: { formatter: (value: string) => length(Number(value)) },
    title: { text: xLabel, style: { fontSize: '11px', fontWeight: 400 } },
  },
  yaxis: { min: 0, tickAmount: 4, labels: { formatter: newtons } },
  stroke: { width: 2, dashArray: [0, 5] },
})
/** Where it is now; the words stand on the side that has room. */
const mark = (x: number, text: string, most: number) => ({
  xaxis: [
    {
      x,
      borderColor: colours.value.flag,
      strokeDashArray: 2,
      label: {
        text,
        orientation: 'horizontal',
        textAnchor: x > most / 2 ? 'end' : 'start',
        offsetX: x > most / 2 ? -4 : 4,
        offsetY: 14,
        style: { color: '#fff', background: colours.value.flag },
      },
    },
  ],
})
const pullChart = computed(() => ({
  series: [
    { name: 'own weight', data: pull.value.map(({ out, own }) => ({ x: out, y: own })) },
    { name: 'with hand load', data: pull.value.map(({ out, hand }) => ({ x: out, y: hand })) },
  ],
  options: {
    ...base.value,
    ...lines(`pull-out behind the display, ${suffix.value || 'ft in'}`),
    colors: [colours.value.good, colours.value.flag],
    annotations: mark(outNow.value, `now ${length(outNow.value)}`, pull.value[0]!.out + pull.value.at(-1)!.out),
  },
}))
const depth = computed(() =>
  fastener.value && fixing.value ? depthCurve(fastener.value, wall.value, fixing.value.bearer, store.rules) : undefined,
)
const depthChart = computed(
  () =>
    depth.value && {
      series: [
        { name: 'tension', data: depth.value.points.map(({ embedment, tension }) => ({ x: embedment, y: tension })) },
        ...(depth.value.points[0]?.shear === undefined
          ? []
          : [{ name: 'shear', data: depth.value.points.map(({ embedment, shear }) => ({ x: embedment, y: shear! })) }]),
      ],
      options: {
        ...base.value,
        ...lines(`embedment, ${suffix.value || 'ft in'}`),
        colors: [colours.value.good, colours.value.chalk],
        annotations: mark(depth.value.now, `now ${length(depth.value.now)}`, depth.value.points.at(-1)!.embedment),
      },
    },
)
const charts = [
  { id: 'use', title: 'Utilisation by fastener and case' },
  { id: 'pull', title: 'Tension against pull-out' },
  { id: 'depth', title: 'Allowable load against embedment' },
] as const
const chart = ref<typeof charts[number]['id']>('use')
const key = computed(() => `${chart.value} ${system.value} ${theme.value} ${array.value?.fastener}`)
</script>

<template>
  <div class="space-y-2.5">
    <ChoiceField
      label="Chart"
      :value="chart"
      :options="charts.map(({ id, title }) => ({ value: id, label: title }))"
      :commit="(id) => { chart = id as typeof chart; return [] }"
    />
    <div :key="key" class="rounded border border-hair bg-paper" :data-chart="chart">
      <VueApexCharts
        v-if="chart === 'use'"
        type="bar"
        height="240"
        :options="fastenerChart.options"
        :series="fastenerChart.series"
      />
      <VueApexCharts
        v-else-if="chart === 'pull' && pull.length > 1"
        type="line"
        height="240"
        :options="pullChart.options"
        :series="pullChart.series"
      />
      <p v-else-if="chart === 'pull'" class="p-3 text-sm">
        This mount does not pull out. {{ pull[0] ? `Tension from own weight: ${newtons(pull[0].own)}`
          : 'No load is calculated until its plate is fixed in Mount' }}.
      </p>
      <VueApexCharts
        v-else-if="depthChart"
        type="line"
        height="240"
        :options="depthChart.options"
        :series="depthChart.series"
      />
      <p v-else class="p-3 text-sm">
        Not known: the maker gives the capacity at one embedment only, and no rule covers other depths in this base.
      </p>
    </div>
    <label
      v-if="chart === 'pull' && pull.length > 1"
      class="block text-sm"
    >Pull-out<input
      v-model.number="pulled"
      type="range"
      min="0"
      max="1"
      step="0.01"
      class="w-full"
      aria-label="Pull-out distance"
      :aria-valuetext="`${length(outNow)} ${suffix} behind the display`"
    ></label>
    <p v-if="chart === 'depth' && depth" class="text-xs text-ink-soft">
      Source: {{ depth.source }}.
    </p>
    <p v-if="chart === 'use'" class="text-xs text-ink-soft">
      {{ caseIds.map(id => `${SHORT[id]}: ${caseTitle(id)}`).join('; ') }}. A hand counts where it loads the fastener
      most. Fasteners with no known capacity are not shown.
    </p>
  </div>
</template>
