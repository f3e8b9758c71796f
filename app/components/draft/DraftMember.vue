<script setup lang="ts">
import type { Member } from '~~/core/survey'
import type { Haul } from '~/composables/useDraftDrag'

/** A framing member over the height of the wall. */
const { member, index, height, movable = false } = defineProps<{ member: Member, index: number, height: number, movable?: boolean }>()
const emit = defineEmits<{ moving: [haul: Haul], moved: [] }>()
const { hovered, selected } = useSelection()
const id = computed(() => `member-${index}`)
const lit = computed(() => hovered.value === id.value || selected.value === id.value)
const { show } = useUnits()
const group = useTemplateRef<SVGGElement>('group')
useDraftDrag(group, { enabled: () => movable, moving: haul => emit('moving', haul), moved: () => emit('moved') })
</script>

<template>
  <g
    ref="group"
    :data-member="index"
    :class="[lit ? 'text-flag' : 'text-ink-soft', { 'cursor-ew-resize': movable }]"
    @pointerenter="hovered = id"
    @pointerleave="hovered = ''"
  >
    <title>Member {{ index + 1 }}, centre {{ show(member.centre) }}, {{ member.kind }}</title>
    <rect
      :x="member.centre - member.width / 2"
      :y="0"
      :width="member.width"
      :height="height"
      fill="var(--color-wood)"
      :stroke="lit ? 'var(--color-flag)' : 'var(--color-wood-edge)'"
      :stroke-width="lit ? 2 : 1"
      vector-effect="non-scaling-stroke"
    />
    <path
      :d="`M${member.centre} 0 V${height}`"
      stroke="var(--color-wood-edge)"
      stroke-width="0.8"
      :stroke-dasharray="member.kind === 'double' ? undefined : '8 3 1 3'"
      vector-effect="non-scaling-stroke"
    />
    <DraftLettering :x="member.centre" :y="height" anchor="middle" :size="11" :dy="-5">
      {{ index + 1 }}
    </DraftLettering>
  </g>
</template>
