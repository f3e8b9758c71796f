<script setup lang="ts">
import { drag, type D3DragEvent } from 'd3-drag'
import { select } from 'd3-selection'
import type { ScreenArray } from '~~/core/job'
import type { ArrayPlan } from '~~/core/mount'
import type { Drilled } from '~~/core/hang'

/**
 * An array on the elevation. It can be dragged where that is what the stage is for; the drawing
 * follows the hand at once, the plan a frame later.
 */
const { array, plan, drilled, movable = false, showPlates = false, current = '' } = defineProps<{
  array: ScreenArray
  /** The array as it was when the plan was made. */
  plan: ArrayPlan
  drilled: Map<string, Drilled>
  movable?: boolean
  showPlates?: boolean
  current?: string
}>()
const emit = defineEmits<{ moving: [by: { x: number, y: number }, free: boolean], moved: [] }>()
const view = useDraftView()
const group = useTemplateRef<SVGGElement>('group')

let travelled = { x: 0, y: 0 }
watchEffect((onCleanup) => {
  const element = group.value
  if (!element) return
  const behaviour = drag<SVGGElement, unknown>()
    .filter((event: MouseEvent) => movable && event.button === 0)
    .container(() => element.ownerSVGElement!)
    .on('start', () => { travelled = { x: 0, y: 0 } })
    .on('drag', ({ dx, dy, sourceEvent }: D3DragEvent<SVGGElement, unknown, unknown>) => {
      travelled = { x: travelled.x + dx / view.value.scale, y: travelled.y - dy / view.value.scale }
      emit('moving', travelled, (sourceEvent as MouseEvent).altKey)
    })
    .on('end', () => emit('moved'))
  select(element).call(behaviour)
  onCleanup(() => select(element).on('.drag', null))
})
</script>

<template>
  <g ref="group" :data-array="array.id" :class="{ 'cursor-move': movable }">
    <DraftScreen v-for="position in plan.positions" :key="position.id" :position="position" :orientation="array.orientation" />
    <template v-if="showPlates">
      <DraftPlate v-for="position in plan.positions" :key="position.id" :position="position" :drilled="drilled" :current="current" />
    </template>
  </g>
</template>
