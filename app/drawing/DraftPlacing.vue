<script setup lang="ts">
import type { Rect } from '~~/core/geometry'

/** Where an array lies: how far from the wall's sides, the floor and the top. Pressed, a dimension can be typed. */
const {
  outline,
  wall,
  editable = false,
} = defineProps<{ outline: Rect, wall: Pick<Rect, 'width' | 'height'>, editable?: boolean }>()
const emit = defineEmits<{
  pressed: [side: 'left' | 'right' | 'bottom' | 'top', value: number, at: { x: number, y: number }]
}>()
const view = useDraftView()
const off = computed(() => 26 / view.value.scale)
const below = computed(() => outline.y > 60 / view.value.scale)
const along = computed(() => below.value ? outline.y - off.value : outline.y + outline.height + off.value)
const upright = computed(() =>
  outline.x + outline.width + off.value < wall.width
    ? outline.x + outline.width + off.value
    : Math.max(outline.x - off.value, off.value),
)
const right = computed(() => wall.width - outline.x - outline.width)
const top = computed(() => wall.height - outline.y - outline.height)
const SIDES = computed(() => ({
  left: { from: 0, to: outline.x, value: outline.x },
  right: { from: outline.x + outline.width, to: wall.width, value: right.value },
}))
const HEIGHTS = computed(() => ({
  bottom: { from: 0, to: outline.y, value: outline.y },
  top: { from: outline.y + outline.height, to: wall.height, value: top.value },
}))
</script>

<template>
  <g data-testid="placing">
    <DraftDimension
      v-for="(side, name) in SIDES"
      :key="name"
      v-bind="side"
      :at="along"
      :name="editable ? name : ''"
      @pressed="emit('pressed', name, side.value, { x: (side.from + side.to) / 2, y: along })"
    />
    <DraftDimension :from="outline.x" :to="outline.x + outline.width" :at="along" />
    <DraftDimension
      v-for="(side, name) in HEIGHTS"
      :key="name"
      v-bind="side"
      :at="upright"
      upright
      :name="editable ? name : ''"
      @pressed="emit('pressed', name, side.value, { x: upright, y: (side.from + side.to) / 2 })"
    />
  </g>
</template>
