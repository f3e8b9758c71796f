<script setup lang="ts">
import type { Display, Side } from '~~/core/job'

/**
 * A display to scale: its front with bezels and picture, its back with the mounting pattern, its side with the back's
 * shape.
 */
const { display } = defineProps<{ display: Display }>()
const { show } = useUnits()
const gap = computed(() => display.width * 0.12)
const size = computed(() => ({
  width: 2 * display.width + 2 * gap.value + Math.max(display.depth, 60) + gap.value,
  height: display.height * 1.26,
}))
const stroke = { 'stroke': 'var(--color-ink)', 'stroke-width': 1.2, 'vector-effect': 'non-scaling-stroke' } as const
const text = computed(() => display.height * 0.075)
/** Seen from behind, left and right change places. */
const pattern = computed(() => {
  const { offset, width, height } = display.vesa
  const [x, y] = [display.width / 2 - offset.x, display.height / 2 - offset.y]
  return {
    x: x - width / 2,
    y: y - height / 2,
    width,
    height,
    corners: [-1, 1].flatMap(a => [-1, 1].map(b => ({ x: x + (a * width) / 2, y: y + (b * height) / 2 }))),
  }
})
const SWAP: Record<Side, Side> = { top: 'top', right: 'left', bottom: 'bottom', left: 'right' }
function mark(side: Side, deep: number) {
  const { width, height } = display
  return {
    top: { x: width * 0.3, y: 0, width: width * 0.4, height: deep },
    bottom: { x: width * 0.3, y: height - deep, width: width * 0.4, height: deep },
    left: { x: 0, y: height * 0.3, width: deep, height: height * 0.4 },
    right: { x: width - deep, y: height * 0.3, width: deep, height: height * 0.4 },
  }[side]
}
/** The side, its front to the left: flat, thin at the rim, or hollow at the pattern. */
const profile = computed(() => {
  const { height: h, depth: d, back, vesa } = display
  const rim = back?.profile === 'stepped' && back.rim !== undefined ? Math.min(back.rim, d) : d
  const recess = vesa.recess ?? 0
  if (recess > 0) return `M0 0 H${d} V${h * 0.3} H${d - recess} V${h * 0.7} H${d} V${h} H0 Z`
  return `M0 0 H${rim} V${h * 0.18} H${d} V${h * 0.82} H${rim} V${h} H0 Z`
})
</script>

<template>
  <svg
    :viewBox="`${-gap / 2} ${-display.height * 0.06} ${size.width} ${size.height}`"
    class="h-56 w-full"
    role="img"
    :aria-label="`Drawing of ${display.name}`"
    data-testid="model-drawing"
  >
    <rect :width="display.width" :height="display.height" fill="var(--color-case)" v-bind="stroke" />
    <rect
      :x="display.bezel.left"
      :y="display.bezel.top"
      :width="Math.max(display.width - display.bezel.left - display.bezel.right, 0)"
      :height="Math.max(display.height - display.bezel.top - display.bezel.bottom, 0)"
      fill="var(--color-glass)"
      data-part="picture"
    />
    <path
      :d="`M${display.width / 3} ${display.height * 0.035} h${display.width / 3}`"
      stroke="var(--color-tape)"
      stroke-width="3"
      vector-effect="non-scaling-stroke"
    />
    <g :transform="`translate(${display.width + gap} 0)`">
      <rect :width="display.width" :height="display.height" fill="var(--color-board)" v-bind="stroke" />
      <rect
        v-if="display.back?.profile === 'stepped'"
        :x="display.width * 0.12"
        :y="display.height * 0.18"
        :width="display.width * 0.76"
        :height="display.height * 0.64"
        fill="none"
        v-bind="stroke"
        stroke-dasharray="6 4"
      />
      <rect
        v-for="side in display.vents"
        :key="`v${side}`"
        v-bind="mark(SWAP[side], display.height * 0.05)"
        fill="url(#hatch-vents)"
        stroke="var(--color-ink-soft)"
        vector-effect="non-scaling-stroke"
      />
      <rect
        v-for="side in display.ports"
        :key="`p${side}`"
        v-bind="mark(SWAP[side], display.height * 0.04)"
        fill="var(--color-chalk)"
      />
      <rect
        :x="pattern.x"
        :y="pattern.y"
        :width="pattern.width"
        :height="pattern.height"
        fill="none"
        stroke="var(--color-flag)"
        stroke-width="1"
        stroke-dasharray="4 3"
        vector-effect="non-scaling-stroke"
        data-part="pattern"
      />
      <circle
        v-for="(corner, n) in pattern.corners"
        :key="n"
        :cx="corner.x"
        :cy="corner.y"
        :r="display.height * 0.018"
        fill="none"
        stroke="var(--color-flag)"
        stroke-width="2"
        vector-effect="non-scaling-stroke"
      />
      <path
        :d="crossAt(display.width / 2, display.height / 2, text)"
        stroke="var(--color-ink-soft)"
        vector-effect="non-scaling-stroke"
      />
    </g>
    <g :transform="`translate(${2 * (display.width + gap)} 0)`">
      <path :d="profile" fill="var(--color-rail)" v-bind="stroke" />
    </g>
    <g :font-size="text" fill="var(--color-ink)" text-anchor="middle" class="figures">
      <text :x="display.width / 2" :y="display.height * 1.12">front {{ show(display.width) }} ×
        {{ show(display.height) }}</text>
      <text
        :x="display.width * 1.5 + gap"
        :y="display.height * 1.12"
      >back, pattern {{ show(display.vesa.width) }} × {{ show(display.vesa.height) }}</text>
      <text
        :x="2 * (display.width + gap) + display.depth / 2"
        :y="display.height * 1.12"
      >{{ show(display.depth) }}</text>
    </g>
    <defs>
      <pattern id="hatch-vents" width="14" height="14" patternUnits="userSpaceOnUse">
        <path d="M0 14 L14 0" stroke="var(--color-ink-soft)" stroke-width="2" />
      </pattern>
    </defs>
  </svg>
</template>
