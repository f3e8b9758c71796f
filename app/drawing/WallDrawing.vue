<script setup lang="ts">
import { arrange } from '~~/core/arrange'
import type { Rect } from '~~/core/geometry'
import type { Canvas } from '~/stages/stage'

/** The drafting cross with what can be typed on it, and a list below. */
defineProps<{ canvas: Canvas }>()
const emit = defineEmits<{ pointed: [at: { x: number, y: number }], drawn: [rect: Rect] }>()
const store = useWallStore()
/** A dimension of the drawing that is being typed. */
const typing = ref<{ side: 'left' | 'right' | 'bottom' | 'top', value: number, x: number, y: number }>()
const SIDES = { left: 'From wall left', right: 'From wall right', bottom: 'From floor', top: 'From top of wall' }
function typed(mm: number) {
  const { side } = typing.value!
  const { id, name } = store.array!
  const { outline } = arrange(store.array!, store.catalogue.displays, store.wall!)!
  const { width, height } = store.wall!
  return store.edit(`Move ${name}`, (wall) => {
    const placed = arrayOf(wall, id)
    const axis = side === 'left' || side === 'right' ? 'x' : 'y'
    holdPlace(wall, placed, axis)
    const by = {
      left: mm - outline.x,
      right: width - mm - outline.width - outline.x,
      bottom: mm - outline.y,
      top: height - mm - outline.height - outline.y,
    }[side]
    placed.at[axis].value += by
  })
}
</script>

<template>
  <DraftingCross
    :canvas="canvas"
    @pointed="emit('pointed', $event)"
    @drawn="emit('drawn', $event)"
    @dimension="(side, value, at) => { typing = { side, value, ...at } }"
  >
    <template #over>
      <LazyDimensionInput
        v-if="typing && store.array"
        :key="typing.side"
        :label="`${SIDES[typing.side]} to ${store.array.name}`"
        :value="typing.value"
        :x="typing.x"
        :y="typing.y"
        :commit="typed"
        @done="typing = undefined"
      />
    </template>
    <template #ledger>
      <slot />
    </template>
  </DraftingCross>
</template>
