<script setup lang="ts">
import type { CableModel } from '~~/core/job'

/** A cable to scale across, with its plug, beside a bored hole of 20 mm; and its stocked lengths as bars. */
const { cable } = defineProps<{ cable: CableModel }>()
const { show } = useUnits()
const HOLE = 20
const longest = computed(() => Math.max(...cable.lengths, 1))
const plug = computed(() => cable.plug ?? { width: 0, height: 0 })
</script>

<template>
  <svg
    viewBox="0 0 150 52"
    class="h-56 w-full"
    role="img"
    :aria-label="`Drawing of ${cable.name ?? cable.id}`"
    data-testid="model-drawing"
  >
    <circle
      cx="24"
      cy="26"
      :r="HOLE / 2"
      fill="none"
      stroke="var(--color-edge)"
      stroke-width="1"
      stroke-dasharray="3 2"
      vector-effect="non-scaling-stroke"
    />
    <circle cx="24" cy="26" :r="cable.diameter / 2" fill="var(--color-case)" />
    <text
      x="24"
      y="42"
      text-anchor="middle"
      font-size="4.4"
      class="figures"
      fill="var(--color-ink)"
    >{{ show(cable.diameter) }} in a {{ show(HOLE) }} hole</text>
    <template v-if="cable.plug">
      <rect
        :x="62 - plug.width / 2"
        :y="26 - plug.height / 2"
        :width="plug.width"
        :height="plug.height"
        rx="1"
        fill="var(--color-glass)"
        stroke="var(--color-ink)"
        stroke-width="1"
        vector-effect="non-scaling-stroke"
      />
      <text
        x="62"
        y="42"
        text-anchor="middle"
        font-size="4.4"
        class="figures"
        fill="var(--color-ink)"
      >plug {{ show(plug.width) }} × {{ show(plug.height) }}</text>
    </template>
    <g v-for="(length, n) in cable.lengths.slice(0, 7)" :key="n">
      <rect x="84" :y="6 + n * 6" :width="Math.max(44 * length / longest, 0.5)" height="3.4" fill="var(--color-pine)" />
      <text
        :x="86 + 44 * length / longest"
        :y="9.2 + n * 6"
        font-size="4"
        class="figures"
        fill="var(--color-ink)"
      >{{ show(length) }}</text>
    </g>
  </svg>
</template>
