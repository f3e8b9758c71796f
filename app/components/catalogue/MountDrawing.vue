<script setup lang="ts">
import type { Mount } from '~~/core/job'

/** A mount to scale: its plate with slots, where the display's pattern sits, and its side stowed and pulled out. */
const { mount } = defineProps<{ mount: Mount }>()
const { show } = useUnits()
const side = computed(() => Math.max(mount.depth.service, mount.depth.stowed) + 60)
const tall = computed(() => Math.max(mount.plate.height, 2 * Math.abs(mount.interface.y) + 40))
const gap = computed(() => mount.plate.width * 0.2)
const box = computed(
  () =>
    `${-mount.plate.width / 2 - 20} ${-tall.value / 2 - 20} `
    + `${mount.plate.width + gap.value + side.value + 60} ${tall.value * 1.3 + 20}`,
)
const text = computed(() => tall.value * 0.07)
const stroke = { 'stroke': 'var(--color-ink)', 'stroke-width': 1.2, 'vector-effect': 'non-scaling-stroke' } as const
</script>

<template>
  <svg
    :viewBox="box"
    class="h-56 w-full"
    role="img"
    :aria-label="`Drawing of ${mount.name}`"
    data-testid="model-drawing"
  >
    <rect
      :x="-mount.plate.width / 2"
      :y="-mount.plate.height / 2"
      :width="mount.plate.width"
      :height="mount.plate.height"
      fill="var(--color-board)"
      v-bind="stroke"
    />
    <rect
      v-for="(slot, n) in mount.plate.slots"
      :key="n"
      :x="slot.x1 - slot.diameter / 2"
      :y="-slot.y - slot.diameter / 2"
      :width="slot.x2 - slot.x1 + slot.diameter"
      :height="slot.diameter"
      :rx="slot.diameter / 2"
      fill="var(--color-case)"
      data-part="slot"
    >
      <title>{{ slot.row }}, {{ show(slot.x1) }} to {{ show(slot.x2) }}, {{ show(slot.y) }} up</title>
    </rect>
    <g stroke="var(--color-flag)" stroke-width="2" fill="none">
      <circle :cx="mount.interface.x" :cy="-mount.interface.y" :r="tall * 0.03" vector-effect="non-scaling-stroke" />
      <path
        :d="crossAt(mount.interface.x, -mount.interface.y, tall * 0.12)"
        vector-effect="non-scaling-stroke"
      />
    </g>
    <g :transform="`translate(${mount.plate.width / 2 + gap} 0)`">
      <rect x="-24" :y="-tall / 2" width="24" :height="tall" fill="var(--color-rail)" v-bind="stroke" />
      <rect
        x="0"
        :y="-mount.plate.height / 2"
        :width="Math.max(mount.plate.thickness, 3)"
        :height="mount.plate.height"
        fill="var(--color-case)"
      />
      <path
        :d="`M0 ${-mount.interface.y} H${mount.depth.service}`"
        stroke="var(--color-ink-soft)"
        stroke-width="2"
        vector-effect="non-scaling-stroke"
      />
      <rect :x="mount.depth.stowed" :y="-tall * 0.4" width="12" :height="tall * 0.8" fill="var(--color-glass)" />
      <rect
        v-if="mount.depth.service > mount.depth.stowed"
        :x="mount.depth.service"
        :y="-tall * 0.4"
        width="12"
        :height="tall * 0.8"
        fill="none"
        stroke="var(--color-glass)"
        stroke-width="1.5"
        stroke-dasharray="5 4"
        vector-effect="non-scaling-stroke"
      />
    </g>
    <g :font-size="text" fill="var(--color-ink)" text-anchor="middle" class="figures">
      <text x="0" :y="tall / 2 + text * 1.4">plate {{ show(mount.plate.width) }} × {{ show(mount.plate.height) }}</text>
      <text
        :x="mount.plate.width / 2 + gap + side / 2 - 20"
        :y="tall / 2 + text * 1.4"
      >{{ show(mount.depth.stowed) }} stowed{{ mount.depth.service > mount.depth.stowed
        ? `, ${show(mount.depth.service)} pulled out` : '' }}</text>
    </g>
  </svg>
</template>
