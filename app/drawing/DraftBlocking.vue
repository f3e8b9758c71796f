<script setup lang="ts">
import type { Wall } from '~~/core/job'

/** Blocking as it is known: over the whole wall, or of one bay only; dashed where it is only suspected. */
const { wall, named = true } = defineProps<{ wall: Wall, named?: boolean }>()
</script>

<template>
  <g v-for="row in wall.blocking" :key="row.id" pointer-events="none" class="text-ink-soft" :data-blocking="row.id">
    <path
      :d="`M${row.x1 ?? 0} ${row.y} H${row.x2 ?? wall.width}`"
      stroke="var(--color-wood-edge)"
      stroke-width="6"
      :stroke-dasharray="row.found ? undefined : '10 8'"
      opacity="0.5"
      vector-effect="non-scaling-stroke"
    />
    <DraftLettering v-if="named" :x="row.x2 ?? wall.width" :y="row.y" anchor="end" :size="11" :dx="-4" :dy="-6" halo>
      blocking{{ row.found ? '' : ', suspected' }}
    </DraftLettering>
  </g>
</template>
