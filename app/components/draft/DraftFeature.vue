<script setup lang="ts">
import type { Feature } from '~~/core/job'

/** Something on the wall that is kept clear of. */
const { feature } = defineProps<{ feature: Feature }>()
</script>

<template>
  <g class="text-ink-soft">
    <title>{{ feature.kind }}</title>
    <rect
      :x="feature.x"
      :y="feature.y"
      :width="feature.width"
      :height="feature.height"
      fill="url(#hatch-door)"
      stroke="var(--color-edge)"
      stroke-width="1.2"
      vector-effect="non-scaling-stroke"
    />
    <DraftLettering :x="feature.x + feature.width / 2" :y="feature.y + feature.height" anchor="middle" :size="11" :dy="-4" halo>
      {{ feature.kind }}
    </DraftLettering>
  </g>
</template>
