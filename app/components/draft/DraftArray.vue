<script setup lang="ts">
import type { ScreenArray } from '~~/core/job'
import type { ArrayPlan } from '~~/core/mount'
import type { Drilled } from '~~/core/hang'
import type { Haul } from '~/composables/useDraftDrag'

/**
 * An array on the elevation. It can be dragged where that is what the stage is for; the drawing
 * follows the hand at once, the plan a frame later.
 */
const { array, plan, drilled, movable = false, showPlates = false, ghost = false, current = '' } = defineProps<{
  array: ScreenArray
  /** The array as it was when the plan was made. */
  plan: ArrayPlan
  drilled: Map<string, Drilled>
  movable?: boolean
  showPlates?: boolean
  ghost?: boolean
  current?: string
}>()
const emit = defineEmits<{ moving: [haul: Haul], moved: [] }>()
const preview = usePicturePreview()
const group = useTemplateRef<SVGGElement>('group')
useDraftDrag(group, { enabled: () => movable, moving: haul => emit('moving', haul), moved: () => emit('moved') })
</script>

<template>
  <g ref="group" :data-array="array.id" :class="{ 'cursor-move': movable }">
    <DraftScreen v-for="position in plan.positions" :key="position.id" :position="position" :ghost="ghost" :small="showPlates" />
    <LazyDraftPicture v-if="preview?.array === array.id && !showPlates && !ghost" :plan="plan" :preview="preview" />
    <template v-if="showPlates">
      <DraftPlate v-for="position in plan.positions" :key="position.id" :position="position" :drilled="drilled" :current="current" />
    </template>
  </g>
</template>
