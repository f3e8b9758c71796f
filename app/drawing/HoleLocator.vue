<script setup lang="ts">
import type { Change } from '~~/core/hang'

/** A small elevation for the phone: where on the wall the current hole is, and which are made. */
const { current, moves = [] } = defineProps<{
  current: string
  /** Marks that move: each is ringed where it was, with a line to where it goes. */
  moves?: Change['marks']
}>()
const store = useWallStore()
const { plan, planned, drilled } = useWallPlan()
const wall = computed(() => planned.value ?? store.shown)
const r = computed(() => (wall.value?.width ?? 0) / 110)
const holes = computed(() =>
  (plan.value?.arrays ?? []).flatMap(({ positions }) => positions.flatMap(position => position.holes ?? [])),
)
const FILL = { hit: 'var(--color-good)', miss: 'var(--color-stop)' }
</script>

<template>
  <svg
    v-if="wall"
    :viewBox="`0 0 ${wall.width} ${wall.height}`"
    class="h-full w-full"
    role="img"
    aria-label="Position of the hole on the wall"
  >
    <g :transform="`translate(0 ${wall.height}) scale(1 -1)`">
      <rect
        :width="wall.width"
        :height="wall.height"
        fill="var(--color-wall)"
        stroke="var(--color-edge)"
        :stroke-width="r / 2"
      />
      <rect
        v-for="(member, index) in plan?.members"
        :key="index"
        :x="member.centre - member.width / 2"
        y="0"
        :width="member.width"
        :height="wall.height"
        fill="var(--color-wood-edge)"
        opacity="0.5"
      />
      <template v-for="array in plan?.arrays" :key="array.id">
        <rect
          v-for="position in array.positions"
          :key="position.id"
          v-bind="position.outer"
          fill="var(--color-case)"
          stroke="var(--color-edge)"
          :stroke-width="r / 2"
        />
      </template>
      <!-- A dark ring around each light one, so that it is seen on a case and on the bare wall. -->
      <circle
        v-for="hole in holes"
        :key="`ring ${hole.id}`"
        :cx="hole.x"
        :cy="hole.y"
        :r="r * 1.25"
        fill="none"
        stroke="var(--color-case)"
        :stroke-width="r / 2"
      />
      <circle
        v-for="hole in holes"
        :key="hole.id"
        :cx="hole.x"
        :cy="hole.y"
        :r="r"
        :fill="FILL[drilled.get(hole.id)?.result as 'hit'] ?? 'none'"
        stroke="var(--color-on-case)"
        :stroke-width="r / 3"
      />
      <g
        v-for="move in moves"
        :key="`moves ${move.hole}`"
        :data-moves="move.hole"
        fill="none"
        stroke="var(--color-flag)"
        :stroke-width="r * 0.8"
      >
        <circle :cx="move.from.x" :cy="move.from.y" :r="r * 2.2" :stroke-dasharray="`${r} ${r * 0.7}`" />
        <path :d="`M${move.from.x} ${move.from.y} L${move.to.x} ${move.to.y}`" />
        <circle :cx="move.to.x" :cy="move.to.y" :r="r * 1.3" fill="var(--color-flag)" />
      </g>
      <template v-for="hole in holes" :key="hole.id">
        <circle
          v-if="hole.id === current && moves.length === 0"
          :cx="hole.x"
          :cy="hole.y"
          :r="r * 3.2"
          fill="none"
          stroke="var(--color-flag)"
          :stroke-width="r * 1.2"
        />
      </template>
    </g>
  </svg>
</template>
