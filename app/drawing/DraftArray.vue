<script setup lang="ts">
import { arrange } from '~~/core/arrange'
import type { ScreenArray } from '~~/core/job'
import type { ArrayPlan } from '~~/core/mount'
import type { MadeHole } from '~~/core/log'
import type { DragOffset } from '~/drawing/useDraftDrag'

/**
 * An array on the elevation. It can be dragged where that is what the stage is for; the drawing
 * follows the hand at once, the plan and with it the plates a frame later.
 */
const { array, plan, drilled, movable = false, showPlates = false, ghost = false, current = '' } = defineProps<{
  array: ScreenArray
  /** The array as it was when the plan was made. */
  plan: ArrayPlan
  drilled: Map<string, MadeHole>
  movable?: boolean
  showPlates?: boolean
  ghost?: boolean
  current?: string
}>()
const emit = defineEmits<{ moving: [offset: DragOffset], moved: [] }>()
const preview = usePicturePreview()
const store = useWallStore()
const { behind, placed: underHand } = useWallPlan()
const view = useDraftView()
const { arrangement } = useArray()
/** Where it is now, while the plan is behind. */
const now = computed(() => {
  if (!behind.value) return undefined
  if (store.array?.id === array.id) return arrangement.value
  const shown = store.shown?.arrays.find(({ id }) => id === array.id)
  return shown && arrange(shown, store.catalogue.displays, store.shown!)
})
/** Its cases as one plain shape from the outline's corner on, which a hand only moves: that costs a frame little. */
const cases = computed(() =>
  now.value?.cells
    .map(({ outer }) => {
      const from = [outer.x - now.value!.outline.x, outer.y - now.value!.outline.y].map(mm => mm.toFixed(2)).join(' ')
      return `M${from}h${outer.width}v${outer.height}h${-outer.width}z`
    })
    .join(''),
)
/** Plates and holes as they are placed under the hand, as plain shapes too: held ones, and those that are not. */
const placed = computed(() => {
  const plates = now.value && showPlates ? underHand.value?.find(({ id }) => id === array.id)?.plates : undefined
  const r = 4 / view.value.scale
  const ring = ({ x, y }: { x: number, y: number }) =>
    `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`
  const shapes = (held: boolean) =>
    (plates ?? [])
      .filter(plate => plate.held === held)
      .map(({ rect, holes }) =>
        `M${rect.x} ${rect.y}h${rect.width}v${rect.height}h${-rect.width}z${holes.map(ring).join('')}`)
      .join('')
  return plates && { held: shapes(true), off: shapes(false) }
})
const group = useTemplateRef<SVGGElement>('group')
useDraftDrag(group, { enabled: () => movable, moving: offset => emit('moving', offset), moved: () => emit('moved') })
</script>

<template>
  <g ref="group" :data-array="array.id" :class="{ 'cursor-move': movable }">
    <path
      v-if="now"
      :d="cases"
      :transform="`translate(${now.outline.x + plan.shift.x} ${now.outline.y + plan.shift.y})`"
      data-plain
      fill="var(--color-case)"
      stroke="var(--color-on-case)"
      :stroke-width="1 / view.scale"
      pointer-events="none"
    />
    <g v-show="!now">
      <DraftScreen
        v-for="position in plan.positions"
        :key="position.id"
        :position="position"
        :ghost="ghost"
        :small="showPlates"
      />
      <LazyDraftPicture v-if="preview?.array === array.id && !showPlates && !ghost" :plan="plan" :preview="preview" />
    </g>
    <template v-if="placed">
      <path
        :d="placed.held"
        fill="none"
        stroke="#9be8c4"
        :stroke-width="1.5 / view.scale"
        pointer-events="none"
        data-placed="held"
      />
      <path
        :d="placed.off"
        fill="none"
        stroke="#ffb3a8"
        :stroke-width="2.5 / view.scale"
        :stroke-dasharray="`${6 / view.scale} ${4 / view.scale}`"
        pointer-events="none"
        data-placed="off"
      />
    </template>
    <template v-else-if="showPlates">
      <!-- Rails and boards, with a line where each meets a member. -->
      <rect
        v-for="strip in plan.strips"
        :key="`${strip.row} ${strip.of}`"
        v-bind="strip.rect"
        :data-strip="strip.of"
        fill="var(--color-edge)"
        :fill-opacity="strip.of === 'board' ? 0.35 : 0.8"
        stroke="var(--color-on-case)"
        stroke-width="1.5"
        vector-effect="non-scaling-stroke"
        pointer-events="none"
      />
      <DraftPlate
        v-for="position in plan.positions"
        :key="position.id"
        :position="position"
        :drilled="drilled"
        :current="current"
      />
    </template>
  </g>
</template>
