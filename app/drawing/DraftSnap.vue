<script setup lang="ts">
import type { Rect } from '~~/core/geometry'

/** The lines that a dragged array has been brought to, with what each one is. */
const { wall } = defineProps<{ wall: Pick<Rect, 'width' | 'height'> }>()
const { met } = useSnap()
</script>

<template>
  <g class="text-flag" pointer-events="none">
    <template v-for="line in met" :key="line.axis">
      <path
        :d="line.axis === 'x' ? `M${line.at} 0 V${wall.height}` : `M0 ${line.at} H${wall.width}`"
        stroke="currentColor"
        stroke-width="1.5"
        stroke-dasharray="2 3"
        vector-effect="non-scaling-stroke"
      />
      <DraftLettering
        :x="line.axis === 'x' ? line.at : 0"
        :y="line.axis === 'x' ? wall.height : line.at"
        :dx="5"
        :dy="line.axis === 'x' ? 14 : -5"
        :size="12"
        halo
      >
        {{ line.label }}
      </DraftLettering>
    </template>
  </g>
</template>
