<script setup lang="ts">
import { choiceName, itemName } from '~~/core/job'
import type { BoxPlan, Wiring } from '~~/core/wire'
import type { DragOffset } from './useDraftDrag'

/**
 * A box to scale, seen through what hides it, with the number of the circuit that feeds its screens; a pass-through is
 * round-cornered, and has none.
 */
const { box, wiring, movable } = defineProps<{ box: BoxPlan, wiring: Wiring, movable: boolean }>()
const emit = defineEmits<{ moving: [by: DragOffset], moved: [] }>()
const { isLit, hover, leave } = useSelection()
const group = useTemplateRef<SVGGElement>('group')
useDraftDrag(group, {
  enabled: () => movable && box.kind !== 'floor',
  moving: by => emit('moving', by),
  moved: () => emit('moved'),
})
const lit = computed(() => isLit({ kind: 'box', id: box.id }))
const signal = computed(() => box.kind === 'pass-through')
const numbers = computed(() =>
  signal.value
    ? ''
    : [
        ...new Set(
          wiring.circuits.flatMap(({ screens }, n) => (screens.some(id => box.for.includes(id)) ? [n + 1] : [])),
        ),
      ].join(', '),
)
/** A floor outlet has no height on the wall: it is drawn as the stretch of floor that it takes. */
const drawn = computed(() => box.kind === 'floor' ? { ...box.cutout, y: -12, height: 24 } : box.cutout)
const fill = computed(() =>
  !box.held ? 'var(--color-stop-wash)' : signal.value ? 'var(--color-chalk)' : 'var(--color-pine)',
)
</script>

<template>
  <g
    ref="group"
    :data-box="box.id"
    :class="[!box.held ? 'text-stop' : lit ? 'text-flag' : 'text-on-case', { 'cursor-move': movable }]"
    @pointerenter="hover('box', box.id)"
    @pointerleave="leave"
  >
    <title>Box {{ itemName(box) }}, {{ choiceName(box.kind) }}{{ numbers ? `, circuit ${numbers}` : '' }}{{ box.held
      ? '' : ': not placed' }}</title>
    <rect
      v-bind="drawn"
      :rx="signal ? 14 : 0"
      :fill="fill"
      fill-opacity="0.85"
      stroke="currentColor"
      :stroke-width="lit ? 3 : 1.5"
      :stroke-dasharray="box.held ? undefined : '4 3'"
      vector-effect="non-scaling-stroke"
    />
    <DraftLettering v-if="numbers" :x="box.x" :y="drawn.y" :dy="11" :size="10.5" anchor="middle" pointer-events="none">
      {{ numbers }}
    </DraftLettering>
    <path
      :d="crossAt(box.x, drawn.y + drawn.height / 2, box.cutout.width / 2)"
      stroke="currentColor"
      stroke-width="1.2"
      vector-effect="non-scaling-stroke"
    />
  </g>
</template>
