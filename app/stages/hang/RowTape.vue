<script setup lang="ts">
/** The row that is drilled as it lies along the tape: every hole of it, and the one that is current. */
const { marks, current } = defineProps<{ marks: { id: string, running: number }[], current: string }>()
const { drilled } = useWallPlan()
const { show } = useUnits()
const [WIDTH, HEIGHT, PAD] = [360, 36, 24]
const from = computed(() => Math.min(...marks.map(({ running }) => running)))
const to = computed(() => Math.max(...marks.map(({ running }) => running), from.value + 1))
const x = (running: number) => PAD + (running - from.value) / (to.value - from.value) * (WIDTH - 2 * PAD)
const now = computed(() => marks.find(({ id }) => id === current))
const middle = computed(() => Math.min(Math.max(now.value ? x(now.value.running) : 0, PAD + 6), WIDTH - PAD - 6))
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    class="w-full"
    role="img"
    :aria-label="`Holes of this row on the tape; current hole at ${show(now?.running ?? 0)}`"
  >
    <rect x="0" y="18" :width="WIDTH" height="14" fill="var(--color-tape)" />
    <template v-for="mark in marks" :key="mark.id">
      <path :d="`M${x(mark.running)} 18 v9`" stroke="#1c1a12" stroke-width="1.5" />
      <path
        v-if="drilled.get(mark.id)?.result === 'hit'"
        :d="`M${x(mark.running) - 3} 23 l2 3 l4 -6`"
        fill="none"
        stroke="#1c1a12"
        stroke-width="1.5"
      />
    </template>
    <template v-if="now">
      <path :d="`M${x(now.running)} 15 v17`" stroke="#1c1a12" stroke-width="3" />
      <text
        :x="middle"
        y="12"
        text-anchor="middle"
        font-size="13"
        font-weight="700"
        fill="var(--color-ink)"
      >{{ show(now.running) }}</text>
    </template>
  </svg>
</template>
