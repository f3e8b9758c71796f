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
/** How far the hand has taken it from where it was planned; it is drawn plain on the way, which costs one shape a frame. */
const carried = computed(() => {
  if (!store.hauling || !store.shown) return undefined
  const now = store.shown.arrays.find(({ id }) => id === array.id)
  const outline = now && arrange(now, store.catalogue.displays, store.shown)?.outline
  return outline && { x: outline.x - plan.outline.x, y: outline.y - plan.outline.y }
})
const view = useDraftView()
const cases = computed(() => plan.positions.map(({ outer: { x, y, width, height } }) => `M${x} ${y}h${width}v${height}h${-width}z`).join(''))
const group = useTemplateRef<SVGGElement>('group')
useDraftDrag(group, { enabled: () => movable, moving: haul => emit('moving', haul), moved: () => emit('moved') })
</script>

<template>
  <g ref="group" :data-array="array.id" :class="{ 'cursor-move': movable }">
    <path v-if="carried" :d="cases" :transform="`translate(${carried.x} ${carried.y})`" fill="var(--color-case)" stroke="var(--color-on-case)" :stroke-width="1 / view.scale" pointer-events="none" />
    <g v-show="!carried">
      <DraftScreen v-for="position in plan.positions" :key="position.id" :position="position" :ghost="ghost" :small="showPlates" />
      <LazyDraftPicture v-if="preview?.array === array.id && !showPlates && !ghost" :plan="plan" :preview="preview" />
      <template v-if="showPlates">
        <DraftPlate v-for="position in plan.positions" :key="position.id" :position="position" :drilled="drilled" :current="current" />
      </template>
    </g>
  </g>
</template>
