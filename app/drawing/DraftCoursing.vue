<script setup lang="ts">
import { bondShift, type Coursing } from '~~/core/survey'

/** The joints of blockwork behind the face, as they were fitted. */
const { coursing, width, height } = defineProps<{ coursing: Coursing, width: number, height: number }>()
const surveyed = computed(() => coursing.sd.x !== undefined && coursing.sd.y !== undefined)
const lines = computed(() => {
  const { origin, length, height: course } = coursing
  const first = Math.floor(-origin.y / course)
  const last = Math.ceil((height - origin.y) / course)
  return Array.from({ length: last - first }, (_, n) => {
    const number = first + n
    const [foot, top] = [Math.max(origin.y + number * course, 0), Math.min(origin.y + (number + 1) * course, height)]
    const shift = origin.x + bondShift(coursing, number)
    const heads = Array.from(
      { length: Math.ceil(width / length) + 1 },
      (_, k) => shift - length * Math.floor(shift / length) + (k - 1) * length,
    ).filter(x => x > 0 && x < width)
    return top > foot ? `M0 ${foot} H${width} ${heads.map(x => `M${x} ${foot} V${top}`).join(' ')}` : ''
  }).join(' ')
})
</script>

<template>
  <path
    :d="lines"
    data-coursing
    fill="none"
    stroke="var(--color-edge)"
    stroke-width="1.2"
    :stroke-dasharray="surveyed ? undefined : '6 5'"
    :opacity="surveyed ? 0.9 : 0.6"
    vector-effect="non-scaling-stroke"
    pointer-events="none"
  />
</template>
