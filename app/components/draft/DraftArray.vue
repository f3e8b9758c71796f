<script setup lang="ts">
import { arrange } from '~~/core/arrange'
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
const store = useWallStore()
const { behind } = useWallPlan()
const view = useDraftView()
/** Its cases as they are now, while the plan is behind: one plain shape, which costs a frame little. */
const cases = computed(() => {
  const now = behind.value ? store.shown?.arrays.find(({ id }) => id === array.id) : undefined
  return now && arrange(now, store.catalogue.displays, store.shown!)?.cells.map(({ outer: { x, y, width, height } }) => `M${x} ${y}h${width}v${height}h${-width}z`).join('')
})
const group = useTemplateRef<SVGGElement>('group')
useDraftDrag(group, { enabled: () => movable, moving: haul => emit('moving', haul), moved: () => emit('moved') })
</script>

<template>
  <g ref="group" :data-array="array.id" :class="{ 'cursor-move': movable }">
    <path v-if="cases" :d="cases" data-plain fill="var(--color-case)" stroke="var(--color-on-case)" :stroke-width="1 / view.scale" pointer-events="none" />
    <g v-show="!cases">
      <DraftScreen v-for="position in plan.positions" :key="position.id" :position="position" :ghost="ghost" :small="showPlates" />
      <LazyDraftPicture v-if="preview?.array === array.id && !showPlates && !ghost" :plan="plan" :preview="preview" />
      <template v-if="showPlates">
        <DraftPlate v-for="position in plan.positions" :key="position.id" :position="position" :drilled="drilled" :current="current" />
      </template>
    </g>
  </g>
</template>
