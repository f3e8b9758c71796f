<script setup lang="ts">
import type { Orientation } from '~~/core/job'
import type { Position } from '~~/core/mount'

/** One screen: its case, its picture, and a bar along the edge that is the display's own top. */
const { position, orientation, ghost = false, small = false } = defineProps<{
  position: Position
  orientation: Orientation
  /** Whether only its outline is drawn. */
  ghost?: boolean
  /** Whether its name keeps out of the way of the plate. */
  small?: boolean
}>()
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
      :fill-opacity="ghost ? 0.08 : 0.9"
      :stroke-dasharray="ghost ? '6 4' : undefined"
      :stroke="lit ? 'var(--color-flag)' : 'var(--color-ink)'"
      :stroke-width="lit ? 3 : 1"
      vector-effect="non-scaling-stroke"
    />
    <rect v-if="!ghost" v-bind="position.picture" fill="var(--color-glass)" fill-opacity="0.55" />
    <path :d="topBar" stroke="var(--color-tape)" stroke-width="3" vector-effect="non-scaling-stroke" />
    <DraftLettering v-if="small" class="text-on-case" :x="position.outer.x" :y="position.outer.y + position.outer.height" :dx="3" :dy="11" :size="10.5">
      {{ name }}
    </DraftLettering>
    <DraftLettering v-else :class="ghost ? 'text-ink' : 'text-on-case'" :x="position.outer.x" :y="position.outer.y" :dx="5" :dy="-6" :size="12">
      {{ name }}
    </DraftLettering>
  </g>
</template>
