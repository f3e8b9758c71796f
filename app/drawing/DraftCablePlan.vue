<script setup lang="ts">
/**
 * Cables as they are seen from above: across studs in the middle of their depth, and a ring where they go up or down a
 * bay.
 */
const { core } = defineProps<{ core: number }>()
const { plan } = useWallPlan()
const { isLit } = useSelection()
const routes = computed(() =>
  (plan.value?.wiring.routes ?? [])
    .filter(({ way }) => way !== 'surface')
    .map(route => ({
      ...route,
      y: core * (route.kind === 'signal' ? 0.35 : 0.65),
      across: route.legs.filter(({ from, to }) => Math.abs(from.x - to.x) > 1),
      uprights: [
        ...new Set(
          route.legs.filter(({ from, to }) => Math.abs(from.y - to.y) > 1).map(({ from }) => Math.round(from.x)),
        ),
      ],
    })),
)
const inkOf = (route: { id: string, to: string, kind: string }) =>
  isLit({ kind: 'box', id: route.to }) || isLit({ kind: 'route', id: route.id })
    ? 'var(--color-flag)'
    : route.kind === 'signal'
      ? 'var(--color-signal)'
      : 'var(--color-tape)'
</script>

<template>
  <g data-part="cables" pointer-events="none">
    <g v-for="route in routes" :key="route.id">
      <template v-for="(leg, n) in route.across" :key="n">
        <path
          :d="`M${leg.from.x} ${route.y} H${leg.to.x}`"
          stroke="var(--color-ink)"
          stroke-width="4"
          vector-effect="non-scaling-stroke"
        />
        <path
          :d="`M${leg.from.x} ${route.y} H${leg.to.x}`"
          :stroke="inkOf(route)"
          stroke-width="2.2"
          :stroke-dasharray="leg.method === 'void' ? '10 3 2 3' : undefined"
          vector-effect="non-scaling-stroke"
        />
      </template>
      <circle
        v-for="x in route.uprights"
        :key="x"
        :cx="x"
        :cy="route.y"
        :r="core * 0.12"
        :fill="inkOf(route)"
        stroke="var(--color-ink)"
        stroke-width="1"
        vector-effect="non-scaling-stroke"
      />
    </g>
  </g>
</template>
