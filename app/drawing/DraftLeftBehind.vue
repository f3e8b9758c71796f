<script setup lang="ts">
import { authorText } from '~~/core/log/author'
import type { MadeHole } from '~~/core/log'

/**
 * A hole in the wall that nothing planned uses: missed, or left behind when the plan moved on. Seen on a case and on
 * the bare wall.
 */
const { hole } = defineProps<{ hole: MadeHole }>()
const view = useDraftView()
const { show } = useUnits()
const r = computed(() => 4.5 / view.value.scale)
const cross = computed(
  () =>
    `M${hole.x - r.value} ${hole.y - r.value} l${2 * r.value} ${2 * r.value} m0 `
    + `${-2 * r.value} l${-2 * r.value} ${2 * r.value}`,
)
const described = computed(() => {
  const result = hole.result === 'miss' ? 'missed' : 'unused'
  const note = hole.note ? `, ${hole.note}` : ''
  return `Hole at ${show(hole.x)}, ${show(hole.y)} up, ${result}: ${authorText(hole)}${note}`
})
</script>

<template>
  <g :data-left-behind="hole.hole">
    <title>{{ described }}</title>
    <circle
      :cx="hole.x"
      :cy="hole.y"
      :r="r * 1.6"
      fill="var(--color-paper)"
      stroke="var(--color-ink)"
      stroke-width="1.5"
      vector-effect="non-scaling-stroke"
    />
    <path :d="cross" stroke="var(--color-ink)" stroke-width="2" vector-effect="non-scaling-stroke" />
  </g>
</template>
