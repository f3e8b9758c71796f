<script setup lang="ts">
import type { Leg, Method, Wiring } from '~~/core/wire'
import type { Wall } from '~~/core/job'
import type { DragOffset } from './useDraftDrag'

/**
 * The wall seen through: bays tinted by how freely a line runs in them, the ways of power and signal by their method,
 * what has to be opened and bored, and the boxes to scale.
 */
const {
  wiring,
  wall,
  seenThrough = true,
  movable = false,
} = defineProps<{ wiring: Wiring, wall: Wall, seenThrough?: boolean, movable?: boolean }>()
const emit = defineEmits<{ moving: [id: string, by: DragOffset], moved: [] }>()
const { isLit } = useSelection()
const { route, leg: current, panel, stoppedAt } = useWire()

/** How a leg is drawn, by its method: what drops by itself is a plain line. */
const DASHES: Record<Method, string | undefined> = {
  'drops': undefined,
  'weighted line': '10 3',
  'rod': '6 3',
  'opening at blocking': '3 3',
  'bored plate': '1 2',
  'across a stud': '3 3',
  'void': '14 4 2 4',
  'raceway': '18 3',
  'on the face': '18 3 4 3',
  'through the wall': '1 2',
}
const legs = computed(() =>
  wiring.routes.flatMap(({ id, to, kind, legs }) =>
    legs.map((leg, n) => ({
      ...leg,
      id: `${id} ${n}`,
      lit: isLit({ kind: 'box', id: to }) || isLit({ kind: 'route', id }),
      kind,
      now: panel.value === 'routes' && id === route.value?.id && n === current.value,
    })),
  ),
)
const inkOf = (leg: { lit: boolean, kind: string }) =>
  leg.lit ? 'text-flag' : leg.kind === 'signal' ? 'text-signal' : 'text-tape'
const line = ({ from, to }: Leg) => `M${from.x} ${from.y} L${to.x} ${to.y}`

/** How a bay is tinted: by the worst that is met in it on the way of a route, or not at all where nothing runs. */
const TINTS = { free: 'var(--color-good)', slow: 'var(--color-tape)', blocked: 'var(--color-stop)' }
const bays = computed(() => wiring.bays.flatMap((bay, n) => {
  const here = wiring.routes.filter(({ bays }) => bays.includes(n))
  if (here.length === 0) return []
  const met = here.flatMap(({ legs }) => legs.filter(({ from }) => from.x >= bay.from && from.x <= bay.to))
  const state: keyof typeof TINTS = met.some(({ method }) => method === 'opening at blocking')
    ? 'blocked'
    : met.some(({ method, past }) => method === 'weighted line' || past.length > 0)
      ? 'slow'
      : 'free'
  return [{ ...bay, n, state }]
}))
</script>

<template>
  <g data-part="wiring">
    <template v-if="seenThrough">
      <rect
        v-for="bay in bays"
        :key="`bay${bay.n}`"
        :data-bay="bay.state"
        :x="bay.from"
        y="0"
        :width="bay.to - bay.from"
        :height="wall.height"
        :fill="TINTS[bay.state]"
        opacity="0.13"
        pointer-events="none"
      />
      <DraftBlocking :wall="wall" :named="false" />
      <g v-for="leg in legs" :key="leg.id" :class="inkOf(leg)" :data-leg="leg.method" pointer-events="none">
        <path
          :d="line(leg)"
          stroke="var(--color-ink)"
          :stroke-width="leg.now ? 8 : 4.5"
          vector-effect="non-scaling-stroke"
        />
        <path
          :d="line(leg)"
          stroke="currentColor"
          :stroke-width="leg.now ? 5 : 2.5"
          :stroke-dasharray="DASHES[leg.method]"
          vector-effect="non-scaling-stroke"
        />
      </g>
    </template>
    <rect
      v-for="opening in wiring.works.openings"
      :key="opening.id"
      data-opening
      v-bind="opening.rect"
      fill="url(#hatch-door)"
      stroke="var(--color-caution)"
      stroke-width="1.5"
      stroke-dasharray="4 2"
      vector-effect="non-scaling-stroke"
      pointer-events="none"
    />
    <circle
      v-for="bore in wiring.works.bores"
      :key="bore.id"
      data-bore
      :cx="bore.x"
      :cy="bore.y"
      :r="(bore.diameter || 20) / 2"
      fill="var(--color-paper)"
      stroke="var(--color-ink)"
      stroke-width="1.5"
      vector-effect="non-scaling-stroke"
      pointer-events="none"
    />
    <DraftBox
      v-for="box in wiring.boxes"
      :key="box.id"
      :box="box"
      :wiring="wiring"
      :movable="movable"
      @moving="emit('moving', box.id, $event)"
      @moved="emit('moved')"
    />
    <path
      v-if="panel === 'routes' && stoppedAt !== undefined"
      :d="`M0 ${stoppedAt} H100000`"
      stroke="var(--color-stop)"
      stroke-width="2"
      stroke-dasharray="8 4"
      vector-effect="non-scaling-stroke"
      pointer-events="none"
    />
  </g>
</template>
