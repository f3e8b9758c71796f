<script setup lang="ts">
import type { Fastener, ScrewKit } from '~~/core/job'

/** Screws to scale, side by side: a fastener with its thread, or every length of a kit with its washers and spacers. */
const { model } = defineProps<{ model: Fastener | ScrewKit }>()
const { show } = useUnits()
const screws = computed(() =>
  'lengths' in model
    ? model.lengths.map(length => ({ length, diameter: model.thread, thread: length, root: 0.82 * model.thread }))
    : [
        {
          length: model.length,
          diameter: model.diameter,
          thread: model.thread ?? model.length,
          root: model.root ?? 0.8 * model.diameter,
        },
      ],
)
const rings = computed(() =>
  'lengths' in model
    ? [
        ...model.washers.map(thick => ({ thick, wide: 2.2 * model.thread })),
        ...model.spacers.map(thick => ({ thick, wide: 1.8 * model.thread })),
      ]
    : [],
)
const pitch = computed(() => 4 * Math.max(...screws.value.map(({ diameter }) => diameter), 1))
const long = computed(() => Math.max(...screws.value.map(({ length }) => length), 10))
/** The turns of a thread, drawn as slanted strokes. */
function threadOf({ length, thread, diameter }: { length: number, thread: number, diameter: number }): string {
  const turns = Math.max(Math.floor(thread / (diameter * 0.35)), 1)
  const begin = (k: number) => length - thread + k * diameter * 0.35
  const stroke = `l${diameter * 0.25} ${diameter}`
  return Array.from({ length: turns }, (_, k) => `M${begin(k)} ${-diameter / 2} ${stroke}`).join('')
}
</script>

<template>
  <svg
    :viewBox="[-pitch / 2, -pitch / 2, long * 1.6 + pitch, screws.length * pitch + pitch * 0.6].join(' ')"
    class="h-56 w-full"
    role="img"
    :aria-label="`Drawing of ${model.name ?? model.id}`"
    data-testid="model-drawing"
  >
    <g v-for="(screw, n) in screws" :key="n" :transform="`translate(0 ${n * pitch})`">
      <rect
        :x="-screw.diameter * 0.6"
        :y="-screw.diameter * 0.9"
        :width="screw.diameter * 0.6"
        :height="screw.diameter * 1.8"
        fill="var(--color-case)"
      />
      <rect
        x="0"
        :y="-screw.diameter / 2"
        :width="Math.max(screw.length - screw.thread, 0)"
        :height="screw.diameter"
        fill="var(--color-glass)"
      />
      <rect
        :x="screw.length - screw.thread"
        :y="-screw.root / 2"
        :width="screw.thread"
        :height="screw.root"
        fill="var(--color-glass)"
      />
      <path
        :d="threadOf(screw)"
        stroke="var(--color-ink)"
        stroke-width="1"
        vector-effect="non-scaling-stroke"
      />
      <text
        :x="screw.length + screw.diameter"
        :y="screw.diameter * 0.5"
        :font-size="pitch * 0.42"
        class="figures"
        fill="var(--color-ink)"
      >{{ show(screw.length) }}</text>
    </g>
    <g v-for="(ring, n) in rings" :key="`r${n}`" :transform="`translate(${long * 1.35} ${n * pitch * 0.8})`">
      <rect
        x="0"
        :y="-ring.wide / 2"
        :width="ring.thick"
        :height="ring.wide"
        fill="var(--color-wood)"
        stroke="var(--color-wood-edge)"
        stroke-width="1"
        vector-effect="non-scaling-stroke"
      />
      <text
        :x="ring.thick + 2"
        :y="pitch * 0.12"
        :font-size="pitch * 0.32"
        class="figures"
        fill="var(--color-ink)"
      >{{ ring.thick }}</text>
    </g>
  </svg>
</template>
