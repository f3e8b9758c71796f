<script setup lang="ts">
import { uncompensated } from '~~/core/arrange'
import type { ArrayPlan } from '~~/core/mount'
import type { PicturePreview } from '~/stages/arrange/usePicturePreview'

/** A picture across the screens of an array, each showing its own part of it. */
const { plan, preview } = defineProps<{ plan: ArrayPlan, preview: PicturePreview }>()
const parts = computed(() => {
  const crops = plan.positions.map(({ row, column, crop }) => ({ row, column, exact: crop!, rounded: crop! }))
  const jumping = preview.compensated ? [] : uncompensated({ canvas: plan.canvas, crops })
  return plan.positions.map(({ id, picture, crop }, n) => ({ id, picture, part: jumping[n] ?? crop! }))
})
</script>

<template>
  <g pointer-events="none" data-testid="picture-preview">
    <g
      v-for="{ id, picture, part } in parts"
      :key="id"
      :transform="`translate(${picture.x} ${picture.y + picture.height}) scale(1 -1)`"
    >
      <svg
        :width="picture.width"
        :height="picture.height"
        :viewBox="`${part.x} ${part.y} ${part.width} ${part.height}`"
        preserveAspectRatio="none"
      >
        <rect x="0" y="0" :width="plan.canvas.width" :height="plan.canvas.height" fill="#000000" />
        <image :href="preview.href" v-bind="preview.at" preserveAspectRatio="none" />
      </svg>
    </g>
  </g>
</template>
