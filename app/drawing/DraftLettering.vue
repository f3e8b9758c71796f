<script setup lang="ts">
/** Words on the drawing: placed in mm on the wall, sized in pixels on the screen. */
const { x, y, size = 12, anchor = 'start', dx = 0, dy = 0, halo = false } = defineProps<{
  x: number
  y: number
  size?: number
  anchor?: 'start' | 'middle' | 'end'
  dx?: number
  dy?: number
  /** Whether the words stand on a ground of the wall's colour. */
  halo?: boolean
}>()
const view = useDraftView()
const transform = computed(
  () => `translate(${x} ${y}) scale(${1 / view.value.scale} ${-1 / view.value.scale}) translate(${dx} ${dy})`,
)
</script>

<template>
  <text
    :transform="transform"
    :text-anchor="anchor"
    :font-size="size"
    class="figures select-none"
    :class="{ halo }"
    fill="currentColor"
  >
    <slot />
  </text>
</template>

<style scoped>
text { pointer-events: none; }
.halo { paint-order: stroke; stroke: var(--color-wall); stroke-width: 4px; stroke-linejoin: round; }
</style>
