<script setup lang="ts">
import { MEMBER_KIND_NAMES, MEMBER_SOURCE_NAMES, piecesOf, type Member } from '~~/core/survey'
import type { DragOffset } from '~/drawing/useDraftDrag'

/** A framing member over the height of the wall; what is not sure of its edges is drawn soft. */
const {
  member,
  index,
  height,
  movable = false,
} = defineProps<{ member: Member, index: number, height: number, movable?: boolean }>()
const emit = defineEmits<{ moving: [offset: DragOffset], moved: [] }>()
const { isLit, hover, leave } = useSelection()
const { Piece } = usePiece()
const lit = computed(() => isLit({ kind: 'member', id: member.id }))
const { show } = useUnits()
const group = useTemplateRef<SVGGElement>('group')
useDraftDrag(group, { enabled: () => movable, moving: offset => emit('moving', offset), moved: () => emit('moved') })
/** Half of the 95 % interval, and the half widths that are surely and only perhaps covered. */
const unsure = computed(() => 1.96 * member.sd)
const sure = computed(() => Math.max(member.width / 2 - unsure.value, 0))
const perhaps = computed(() => member.width / 2 + unsure.value)
const observed = computed(() => member.source === 'observed')
/** Between the plies of a doubled member; a single one has its centre line. */
const lines = computed(() =>
  member.plies < 2
    ? [member.centre]
    : piecesOf(member)
        .slice(1)
        .map(({ centre }) => centre - member.width / member.plies / 2),
)
/** Leaned as its readings tell, about the height at which its centre is told. */
const leaned = computed(() => {
  const { slope, at } = member.lean ?? { slope: 0, at: 0 }
  return slope === 0 ? undefined : `matrix(1 0 ${slope} 1 ${-slope * at} 0)`
})
/** Where it stands, up from the floor; elsewhere only its outline shows that it was looked for. */
const stands = computed(() =>
  (member.stretches ?? [{ from: 0, to: height }]).map(({ from, to }) => ({ y: from, height: to - from })),
)
const described = computed(() => [
  `${Piece.value} ${index + 1}`, `centre ${show(member.centre)} ± ${show(unsure.value)}`,
  MEMBER_KIND_NAMES[member.kind], MEMBER_SOURCE_NAMES[member.source], member.proved ? 'confirmed' : 'unconfirmed',
].join(', '))
</script>

<template>
  <g
    ref="group"
    :data-member="member.id"
    :data-source="member.source"
    :class="[lit ? 'text-flag' : 'text-ink-soft', { 'cursor-ew-resize': movable }]"
    @pointerenter="hover('member', member.id)"
    @pointerleave="leave"
  >
    <title>{{ described }}</title>
    <g :transform="leaned">
      <template v-for="stretch in stands" :key="stretch.y">
        <rect
          v-if="unsure > 0"
          v-bind="stretch"
          :x="member.centre - perhaps"
          :width="2 * perhaps"
          fill="var(--color-wood)"
          opacity="0.45"
        />
        <rect
          v-bind="stretch"
          :x="member.centre - (unsure > 0 ? sure : member.width / 2)"
          :width="2 * (unsure > 0 ? sure : member.width / 2)"
          fill="var(--color-wood)"
          :opacity="observed ? 1 : 0.3"
        />
      </template>
      <rect
        :x="member.centre - member.width / 2"
        :y="0"
        :width="member.width"
        :height="height"
        fill="transparent"
        :stroke="lit ? 'var(--color-flag)' : 'var(--color-wood-edge)'"
        :stroke-width="lit ? 2 : 1"
        :stroke-dasharray="observed && !member.stretches ? undefined : '7 5'"
        vector-effect="non-scaling-stroke"
      />
      <path
        :d="lines.map(x => `M${x} 0 V${height}`).join(' ')"
        stroke="var(--color-wood-edge)"
        :stroke-width="member.plies > 1 ? 1.6 : 0.8"
        :stroke-dasharray="member.plies > 1 ? undefined : '8 3 1 3'"
        vector-effect="non-scaling-stroke"
      />
    </g>
    <DraftLettering :x="member.centre" :y="height" anchor="middle" :size="11" :dy="-5">
      {{ index + 1 }}{{ member.proved ? '' : '?' }}
    </DraftLettering>
  </g>
</template>
