<script setup lang="ts">
import type { Wiring } from '~~/core/wire'

/** Boxes to scale, seen through what hides them, each with the number of the circuit that feeds its screens. */
const { wiring } = defineProps<{ wiring: Wiring }>()
const { isLit, hover, leave } = useSelection()
const circuitOf = computed(() => new Map(wiring.circuits.flatMap(({ screens }, n) => screens.map(screen => [screen, n + 1] as const))))
const numbers = (screens: string[]) => [...new Set(screens.flatMap(screen => circuitOf.value.get(screen) ?? []))].join(', ')
</script>

<template>
  <g data-part="wiring">
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
