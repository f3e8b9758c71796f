<script setup lang="ts">
/** A small elevation for the phone: where on the wall the current hole is, and which are made. */
const { current } = defineProps<{ current: string }>()
const store = useWallStore()
const { plan, planned, drilled } = useWallPlan()
const wall = computed(() => planned.value ?? store.shown)
const r = computed(() => (wall.value?.width ?? 0) / 110)
const holes = computed(() => (plan.value?.arrays ?? []).flatMap(({ positions }) => positions.flatMap(position => position.holes ?? [])))
const FILL = { hit: 'var(--color-good)', miss: 'var(--color-stop)' }
</script>

<template>
  <svg v-if="wall" :viewBox="`0 0 ${wall.width} ${wall.height}`" class="h-full w-full" role="img" aria-label="Where the hole is on the wall">
    <g :transform="`translate(0 ${wall.height}) scale(1 -1)`">
      <rect :width="wall.width" :height="wall.height" fill="var(--color-wall)" stroke="var(--color-edge)" :stroke-width="r / 2" />
      <rect v-for="(member, index) in plan?.members" :key="index" :x="member.centre - member.width / 2" y="0" :width="member.width" :height="wall.height" fill="var(--color-wood-edge)" opacity="0.5" />
      <template v-for="array in plan?.arrays" :key="array.id">
        <rect v-for="position in array.positions" :key="position.id" v-bind="position.outer" fill="var(--color-case)" stroke="var(--color-edge)" :stroke-width="r / 2" />
      </template>
      <!-- A dark ring around each light one, so that it is seen on a case and on the bare wall. -->
      <circle v-for="hole in holes" :key="`ring ${hole.id}`" :cx="hole.x" :cy="hole.y" :r="r * 1.25" fill="none" stroke="var(--color-case)" :stroke-width="r / 2" />
      <circle v-for="hole in holes" :key="hole.id" :cx="hole.x" :cy="hole.y" :r="r" :fill="FILL[drilled.get(hole.id)?.result as 'hit'] ?? 'none'" stroke="var(--color-on-case)" :stroke-width="r / 3" />
      <template v-for="hole in holes" :key="hole.id">
        <circle v-if="hole.id === current" :cx="hole.x" :cy="hole.y" :r="r * 3.2" fill="none" stroke="var(--color-flag)" :stroke-width="r * 1.2" />
      </template>
    </g>
  </svg>
</template>
