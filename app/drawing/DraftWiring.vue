<script setup lang="ts">
import type { Method, Wiring } from '~~/core/wire'

/** The ways of power, by their method, with what has to be opened; boxes to scale, seen through what hides them, each with the number of the circuit that feeds its screens. */
const { wiring } = defineProps<{ wiring: Wiring }>()
const { isLit, hover, leave } = useSelection()
const circuitOf = computed(() => new Map(wiring.circuits.flatMap(({ screens }, n) => screens.map(screen => [screen, n + 1] as const))))
const numbers = (screens: string[]) => [...new Set(screens.flatMap(screen => circuitOf.value.get(screen) ?? []))].join(', ')

/** How a leg is drawn, by its method: what drops by itself is a plain line. */
const DASHES: Record<Method, string | undefined> = { 'drops': undefined, 'weighted line': '10 3', 'opening at blocking': '3 3', 'bored plate': '1 2', 'across a stud': '3 3', 'void': '14 4 2 4', 'raceway': '18 3' }
const legs = computed(() => wiring.routes.flatMap(({ id, to, legs }) => legs.map((leg, n) => ({ ...leg, id: `${id} ${n}`, box: to }))))
</script>

<template>
  <g data-part="wiring">
    <g v-for="leg in legs" :key="leg.id" :class="isLit({ kind: 'box', id: leg.box }) ? 'text-flag' : 'text-tape'" pointer-events="none">
      <path :d="`M${leg.from.x} ${leg.from.y} L${leg.to.x} ${leg.to.y}`" stroke="var(--color-ink)" stroke-width="4.5" vector-effect="non-scaling-stroke" />
      <path :d="`M${leg.from.x} ${leg.from.y} L${leg.to.x} ${leg.to.y}`" stroke="currentColor" stroke-width="2.5" :stroke-dasharray="DASHES[leg.method]" vector-effect="non-scaling-stroke" />
      <g v-for="(opening, k) in leg.openings" :key="k" data-opening>
        <rect v-bind="opening" fill="url(#hatch-door)" stroke="var(--color-caution)" stroke-width="1.5" stroke-dasharray="4 2" vector-effect="non-scaling-stroke" />
      </g>
    </g>
    <g
      v-for="box in wiring.boxes"
      :key="box.id"
      :data-box="box.id"
      :class="!box.held ? 'text-stop' : isLit({ kind: 'box', id: box.id }) ? 'text-flag' : 'text-on-case'"
      @pointerenter="hover('box', box.id)"
      @pointerleave="leave"
    >
      <title>Box {{ box.id }}, {{ box.kind.replace('-', ' ') }}{{ numbers(box.for) ? `, circuit ${numbers(box.for)}` : '' }}{{ box.held ? '' : ': no place' }}</title>
      <rect v-bind="box.cutout" :fill="box.held ? 'var(--color-pine)' : 'var(--color-stop-wash)'" fill-opacity="0.85" stroke="currentColor" :stroke-width="isLit({ kind: 'box', id: box.id }) ? 3 : 1.5" :stroke-dasharray="box.held ? undefined : '4 3'" vector-effect="non-scaling-stroke" />
      <DraftLettering v-if="numbers(box.for)" :x="box.x" :y="box.cutout.y" :dy="11" :size="10.5" anchor="middle" pointer-events="none">
        {{ numbers(box.for) }}
      </DraftLettering>
      <path :d="`M${box.x - box.cutout.width / 4} ${box.y} h${box.cutout.width / 2} M${box.x} ${box.y - box.cutout.width / 4} v${box.cutout.width / 2}`" stroke="currentColor" stroke-width="1.2" vector-effect="non-scaling-stroke" />
    </g>
  </g>
</template>
