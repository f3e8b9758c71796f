<script setup lang="ts">
/** A signature as it was written. */
defineProps<{ ink: number[][] }>()
const points = (stroke: number[]) =>
  Array.from({ length: Math.floor(stroke.length / 2) }, (_, n) => `${stroke[2 * n]},${stroke[2 * n + 1]}`).join(' ')
</script>

<template>
  <svg viewBox="0 0 1000 400" role="img" aria-label="Signature">
    <polyline
      v-for="(stroke, n) in ink"
      :key="n"
      :points="points(stroke)"
      fill="none"
      stroke="currentColor"
      stroke-width="10"
      stroke-linecap="round"
    />
  </svg>
</template>
