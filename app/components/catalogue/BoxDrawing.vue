<script setup lang="ts">
import type { BoxModel } from '~~/core/job'

/**
 * A box to scale: its cut-out from the front, and beside it how deep it goes into the wall and how far it stands out.
 */
const { box } = defineProps<{ box: BoxModel }>()
const { show } = useUnits()
const most = computed(() => Math.max(box.cutout.height, box.cutout.width, 60))
const covering = computed(() => box.clamps?.max ?? 0)
const side = computed(() => box.cutout.width + most.value * 0.6)
</script>

<template>
  <svg
    :viewBox="[
      -most * 0.35, -most * 0.2, side + box.depth + (box.proud ?? 0) + most * 0.8, box.cutout.height + most * 0.45,
    ].join(' ')"
    class="h-56 w-full"
    role="img"
    :aria-label="`Drawing of ${box.name ?? box.id}`"
    data-testid="model-drawing"
  >
    <rect
      x="0"
      y="0"
      :width="box.cutout.width"
      :height="box.cutout.height"
      fill="var(--color-glass)"
      stroke="var(--color-ink)"
      stroke-width="1.5"
      vector-effect="non-scaling-stroke"
    />
    <text
      :x="box.cutout.width / 2"
      :y="box.cutout.height + most * 0.13"
      text-anchor="middle"
      :font-size="most * 0.1"
      class="figures"
      fill="var(--color-ink)"
    >{{ show(box.cutout.width) }}</text>
    <text
      :x="-most * 0.04"
      :y="box.cutout.height / 2"
      text-anchor="end"
      :font-size="most * 0.1"
      class="figures"
      fill="var(--color-ink)"
    >{{ show(box.cutout.height) }}</text>
    <g :transform="`translate(${side} 0)`">
      <rect
        v-if="covering > 0"
        :x="-covering"
        :y="-most * 0.12"
        :width="covering"
        :height="most * 0.12"
        fill="var(--color-wood)"
        stroke="var(--color-wood-edge)"
        stroke-width="1"
        vector-effect="non-scaling-stroke"
      />
      <rect
        v-if="covering > 0"
        :x="-covering"
        :y="box.cutout.height"
        :width="covering"
        :height="most * 0.12"
        fill="var(--color-wood)"
        stroke="var(--color-wood-edge)"
        stroke-width="1"
        vector-effect="non-scaling-stroke"
      />
      <rect
        :x="box.surface ? 0 : -box.depth"
        y="0"
        :width="box.depth"
        :height="box.cutout.height"
        fill="var(--color-case)"
        fill-opacity="0.8"
        stroke="var(--color-ink)"
        stroke-width="1.5"
        vector-effect="non-scaling-stroke"
      />
      <rect
        v-if="box.proud && !box.surface"
        x="0"
        :y="-most * 0.06"
        :width="box.proud"
        :height="box.cutout.height + most * 0.12"
        fill="var(--color-glass)"
        stroke="var(--color-ink)"
        stroke-width="1"
        vector-effect="non-scaling-stroke"
      />
      <path
        :d="`M0 ${-most * 0.18} V${box.cutout.height + most * 0.18}`"
        stroke="var(--color-chalk)"
        stroke-width="1.5"
        stroke-dasharray="6 3"
        vector-effect="non-scaling-stroke"
      />
      <text
        :x="(box.surface ? 1 : -1) * box.depth / 2"
        :y="box.cutout.height + most * 0.22"
        text-anchor="middle"
        :font-size="most * 0.1"
        class="figures"
        fill="var(--color-ink)"
      >{{ show(box.depth) }}</text>
    </g>
  </svg>
</template>
