<script setup lang="ts">
import type { Change } from '~~/core/hang'

/** Marks that moved: where each was, ringed with dashes, and a line to where it is now. */
defineProps<{ moves: Change['marks'] }>()
</script>

<template>
  <g data-part="moves" class="text-flag" pointer-events="none">
    <g v-for="move in moves" :key="move.hole" :data-moved="move.hole">
      <circle
        :cx="move.from.x"
        :cy="move.from.y"
        r="26"
        fill="none"
        stroke="currentColor"
        stroke-width="2"
        stroke-dasharray="4 3"
        vector-effect="non-scaling-stroke"
      />
      <path
        :d="`M${move.from.x} ${move.from.y} L${move.to.x} ${move.to.y}`"
        stroke="currentColor"
        stroke-width="2.5"
        vector-effect="non-scaling-stroke"
      />
    </g>
  </g>
</template>
