<script setup lang="ts">
import type { Position } from '~~/core/mount'
import type { MadeHole } from '~~/core/log'

/**
 * A wall plate with its holes: landed, missing its member, or already drilled; what a person put where it is has a full
 * line.
 */
const {
  position,
  drilled,
  current = '',
} = defineProps<{ position: Position, drilled: Map<string, MadeHole>, current?: string }>()
const { isLit, hover, leave } = useSelection()
const view = useDraftView()
const r = computed(() => 4 / view.value.scale)

const { built } = useWallPlan()
/** Holes of which people say unlike things, whatever revision is drawn. */
const disputed = computed(() => new Set(built.value.disputed.map(({ hole }) => hole)))
const holes = computed(() => (position.holes ?? []).map((hole) => {
  const done = drilled.get(hole.id)
  const misses = hole.margin === undefined ? !position.plate?.held : hole.margin < -1e-9
  const { x, y } = done ?? hole
  return {
    ...hole,
    x,
    y,
    done: done?.result,
    state: done?.result ?? (disputed.value.has(hole.id) ? 'disputed' : misses ? 'off' : 'planned'),
    lit: isLit({ kind: 'hole', id: hole.id }) || current === hole.id,
  }
}))
</script>

<template>
  <g v-if="position.plate">
    <rect
      v-bind="position.plate.rect"
      fill="none"
      stroke="var(--color-on-case)"
      :stroke-width="position.plate.byHand ? 2.5 : 1"
      :stroke-dasharray="position.plate.byHand ? undefined : '5 3'"
      :data-by-hand="position.plate.byHand || undefined"
      vector-effect="non-scaling-stroke"
      pointer-events="none"
    />
    <g
      v-for="hole in holes"
      :key="hole.id"
      :data-hole="hole.id"
      :data-state="hole.state"
      @pointerenter="hover('hole', hole.id)"
      @pointerleave="leave"
    >
      <path
        v-if="hole.byHand"
        :d="`M${hole.x - r * 2} ${hole.y - r * 1.6} h${r * 4}`"
        stroke="var(--color-on-case)"
        stroke-width="2"
        vector-effect="non-scaling-stroke"
        data-by-hand
      />
      <circle
        v-if="hole.lit"
        :cx="hole.x"
        :cy="hole.y"
        :r="r * 2.4"
        fill="none"
        stroke="var(--color-flag)"
        stroke-width="3"
        vector-effect="non-scaling-stroke"
      />
      <!-- planned: open ring; hit: filled; miss: a cross; disputed: a ring cut in two; off its member: a square -->
      <circle
        v-if="hole.state === 'planned'"
        :cx="hole.x"
        :cy="hole.y"
        :r="r"
        fill="var(--color-case)"
        stroke="#9be8c4"
        stroke-width="2"
        vector-effect="non-scaling-stroke"
      />
      <circle
        v-else-if="hole.state === 'hit'"
        :cx="hole.x"
        :cy="hole.y"
        :r="r * 1.15"
        fill="#9be8c4"
        stroke="#10231c"
        stroke-width="1"
        vector-effect="non-scaling-stroke"
      />
      <path
        v-else-if="hole.state === 'miss'"
        :d="`M${hole.x - r} ${hole.y - r} l${2 * r} ${2 * r} m0 ${-2 * r} l${-2 * r} ${2 * r}`"
        stroke="#ffb3a8"
        stroke-width="3"
        vector-effect="non-scaling-stroke"
      />
      <g v-else-if="hole.state === 'disputed'" fill="none" stroke="#f4c542" stroke-width="2.5">
        <circle :cx="hole.x" :cy="hole.y" :r="r * 1.1" vector-effect="non-scaling-stroke" />
        <path :d="`M${hole.x} ${hole.y - r * 2} V${hole.y + r * 2}`" vector-effect="non-scaling-stroke" />
      </g>
      <rect
        v-else
        :x="hole.x - r"
        :y="hole.y - r"
        :width="2 * r"
        :height="2 * r"
        fill="#7a150d"
        stroke="#ffb3a8"
        stroke-width="2"
        vector-effect="non-scaling-stroke"
      />
    </g>
  </g>
</template>
