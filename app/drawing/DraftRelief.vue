<script setup lang="ts">
import { standsOut, type Relief } from '~~/core/survey'

/** How the face stands off its best plane: warm where it comes forward, cool where it falls back, with its figures. */
const { relief, width, height } = defineProps<{ relief: Relief, width: number, height: number }>()
const { showFine } = useUnits()
const ACROSS = 28
const cells = computed(() => {
  const size = width / ACROSS
  const most = Math.max(Math.abs(relief.highest.out), Math.abs(relief.lowest.out), 0.1)
  const flat = { ...relief, plane: { out: 0, along: 0, up: 0 } }
  return Array.from({ length: ACROSS * Math.ceil(height / size) }, (_, n) => {
    const [x, y] = [(n % ACROSS) * size, Math.floor(n / ACROSS) * size]
    const out = standsOut(flat, x + size / 2, y + size / 2) / most
    return {
      x,
      y,
      size,
      high: Math.min(size, height - y),
      fill: out > 0 ? 'var(--color-flag)' : 'var(--color-chalk)',
      opacity: Math.abs(out) * 0.6,
    }
  })
})
const signed = (mm: number) => `${mm > 0.05 ? '+' : mm < -0.05 ? '−' : ''}${showFine(Math.abs(mm))}`
</script>

<template>
  <g data-relief pointer-events="none">
    <rect
      v-for="cell in cells"
      :key="`${cell.x} ${cell.y}`"
      :x="cell.x"
      :y="cell.y"
      :width="cell.size"
      :height="cell.high"
      :fill="cell.fill"
      :opacity="cell.opacity"
    />
    <g v-for="(point, index) in relief.points" :key="index" class="text-ink">
      <circle :cx="point.x" :cy="point.y" r="3" fill="currentColor" />
      <DraftLettering :x="point.x" :y="point.y" anchor="middle" :size="13" :dy="-6" halo>
        {{ signed(point.out) }}
      </DraftLettering>
    </g>
  </g>
</template>
