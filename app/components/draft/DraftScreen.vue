<script setup lang="ts">
import type { Orientation } from '~~/core/job'
import type { Position } from '~~/core/mount'

/** One screen: its case, its picture, and a bar along the edge that is the display's own top. */
const { position, orientation } = defineProps<{ position: Position, orientation: Orientation }>()
const { hovered, selected } = useSelection()
const lit = computed(() => [hovered.value, selected.value].includes(position.id))
const name = computed(() => `R${position.row} C${position.column}`)

/** The middle third of the edge where the display's own top comes to lie. */
const topBar = computed(() => {
  const { x, y, width, height } = position.outer
  const [across, up] = [width / 3, height / 3]
  const inset = Math.min(width, height) * 0.035
  return {
    'landscape': `M${x + across} ${y + height - inset} h${across}`,
    'inverted': `M${x + across} ${y + inset} h${across}`,
    'portrait-cw': `M${x + width - inset} ${y + up} v${up}`,
    'portrait-ccw': `M${x + inset} ${y + up} v${up}`,
  }[orientation]
})
</script>

<template>
  <g
    :data-position="position.id"
    @pointerenter="hovered = position.id"
    @pointerleave="hovered = ''"
  >
    <title>{{ name }}, its own top at the short bar</title>
    <rect
      v-bind="position.outer"
      fill="var(--color-case)"
      fill-opacity="0.9"
      :stroke="lit ? 'var(--color-flag)' : 'var(--color-ink)'"
      :stroke-width="lit ? 3 : 1"
      vector-effect="non-scaling-stroke"
    />
    <rect v-bind="position.picture" fill="var(--color-glass)" fill-opacity="0.55" />
    <path :d="topBar" stroke="var(--color-tape)" stroke-width="3" vector-effect="non-scaling-stroke" />
    <DraftLettering class="text-on-case" :x="position.outer.x" :y="position.outer.y" :dx="5" :dy="-6" :size="12">
      {{ name }}
    </DraftLettering>
  </g>
</template>
