<script setup lang="ts">
import type { Outline } from '~~/core/programme/wallState'

/** A wall as a small true elevation: its face and its screens, those that hang filled. */
const { width, height, screens } = defineProps<{ width: number, height: number, screens: Outline[] }>()
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${height}`" class="h-24 w-full" preserveAspectRatio="xMinYMid meet" aria-hidden="true">
    <rect
      :width="width"
      :height="height"
      fill="var(--color-wall)"
      stroke="var(--color-wood-edge)"
      :stroke-width="height / 60"
    />
    <rect
      v-for="(screen, n) in screens"
      :key="n"
      :x="screen.x"
      :y="height - screen.y - screen.height"
      :width="screen.width"
      :height="screen.height"
      :fill="screen.hung ? 'var(--color-case)' : 'none'"
      stroke="var(--color-case)"
      :stroke-width="height / 90"
      :stroke-dasharray="screen.hung ? undefined : `${height / 30} ${height / 45}`"
    />
  </svg>
</template>
