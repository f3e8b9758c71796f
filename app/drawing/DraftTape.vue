<script setup lang="ts">
import { ticks as ticksOf } from 'd3-array'
import { isSame, keyOf, type Subject } from '~~/core/subject'

/** The tape: running dimensions from the datum along one row, drawn as the tape would be read. */
const { width, points, label } = defineProps<{
  width: number
  /** What is read off the tape: where on the wall, mm, and its number in the row. */
  points: { subject: Subject, x: number, doubtful?: boolean }[]
  label: string
}>()
const store = useWallStore()
const { drawn, planned } = useWallPlan()
const view = useDraftView()
const { system, show } = useUnits()
const { hovered } = useSelection()
const datum = computed(() => drawn.value?.marking.datum.x ?? 0)

const length = computed(() => (planned.value ?? store.shown)?.width ?? 0)
const FOOT = 304.8
/** The tape is drawn a little longer than the wall, px, so that a figure at its end stands on it. */
const EDGE = 14
const ticks = computed(() => {
  const [from, to] = [view.value.wallX(0) - datum.value, view.value.wallX(width) - datum.value]
  const unit = system.value === 'metric' ? 1 : FOOT
  return ticksOf(from / unit, to / unit, Math.max(2, width / 70))
    .map(value => ({ x: view.value.x(value * unit + datum.value), text: show(value * unit) }))
    .filter(({ x }) => x > Math.max(view.value.x(0), 0) + 10 && x < Math.min(view.value.x(length.value), width) - 10)
})
/** Where figures may stand: on the tape, and on the screen; px. */
const within = computed(() => ({
  from: Math.max(view.value.x(0) - EDGE, 0),
  to: Math.min(view.value.x(length.value) + EDGE, width),
}))
/**
 * Figures that would run into the one before them are left to the ledger; at an end of the tape they stand a little
 * aside.
 */
const read = computed(() => {
  let free = -Infinity
  const { from, to } = within.value
  return [...points].sort((a, b) => a.x - b.x).map((point) => {
    const x = view.value.x(point.x)
    const text = show(point.x - datum.value) + (point.doubtful ? '?' : '')
    const half = text.length * 3.4 + 2
    const middle = x < from || x > to ? x : Math.min(Math.max(x, from + half), to - half)
    const clear = middle - half > free
    if (clear) free = middle + half
    return { ...point, at: x, middle, text, clear, lit: isSame(hovered.value, point.subject) }
  })
})
</script>

<template>
  <svg
    :width="width"
    height="44"
    role="img"
    :aria-label="`Tape: ${label}`"
    class="block overflow-hidden"
    data-testid="tape"
  >
    <rect
      :x="view.x(0) - EDGE"
      y="0"
      :width="view.x(length) - view.x(0) + 2 * EDGE"
      height="44"
      fill="var(--color-tape)"
    />
    <g v-for="tick in ticks" :key="tick.x" class="text-on-tape">
      <path :d="`M${tick.x} 0 v9`" stroke="currentColor" stroke-width="1.2" />
      <text
        class="figures"
        :x="tick.x"
        y="18"
        text-anchor="middle"
        font-size="11"
        fill="currentColor"
        opacity="0.8"
      >{{ tick.text }}</text>
    </g>
    <g
      v-for="point in read"
      :key="keyOf(point.subject)"
      :data-tape="keyOf(point.subject)"
      :class="point.doubtful ? 'text-[#8a1009]' : 'text-on-tape'"
    >
      <path :d="`M${point.at} 44 v-7`" stroke="currentColor" :stroke-width="point.lit ? 4 : 2" />
      <text
        v-if="point.clear || point.lit"
        class="figures"
        :x="point.middle"
        y="34"
        text-anchor="middle"
        font-size="13"
        font-weight="600"
        fill="currentColor"
        paint-order="stroke"
        stroke="var(--color-tape)"
        stroke-width="4"
      >{{ point.text }}</text>
    </g>
  </svg>
</template>
