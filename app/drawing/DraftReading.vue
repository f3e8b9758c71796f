<script setup lang="ts">
import { itemName, type Evidence } from '~~/core/job'
import { carryOver, METHOD_NAMES, referenceOf } from '~~/core/survey'

/** A reading where it was taken; its shape tells the method, a ghost that it comes from behind. */
const {
  reading,
  references = [],
  unexplained = false,
} = defineProps<{
  reading: Evidence
  references?: { id: string, front: number, back: number }[]
  unexplained?: boolean
}>()
const view = useDraftView()
const { isLit, hover, leave } = useSelection()
const lit = computed(() => isLit({ kind: 'reading', id: reading.id }))
const reference = computed(() => reading.side === 'back' ? referenceOf(reading, references) : undefined)
const x = computed(() => reference.value ? carryOver(reference.value, reading.x) : reading.x)
const place = computed(
  () => `translate(${x.value} ${reading.y}) scale(${1 / view.value.scale} ${-1 / view.value.scale})`,
)
/** Seen from the front, the left edge that was read behind is a right one. */
const edge = computed(() => reading.edge && (reading.side === 'back') === (reading.edge === 'left') ? 'right' : 'left')
const SHAPES: Record<Evidence['method'], string> = {
  'detector-edge': '', // drawn by its side
  'detector-centre': 'M0 -6 V6 M-4 -6 H4 M-4 6 H4',
  'magnet': 'M-4 5 V-1 A4 4 0 0 1 4 -1 V5 M-5.5 5 H-2.5 M2.5 5 H5.5',
  'probe': 'M0 6 L-4 -5 H4 Z',
  'pilot': 'M-4.5 0 A4.5 4.5 0 1 1 4.5 0 A4.5 4.5 0 1 1 -4.5 0 M0 -2 V2',
  'knock': 'M-6 3 Q-6 -5 0 -5 Q6 -5 6 3 M-3 3 Q-3 -1.5 0 -1.5 Q3 -1.5 3 3',
  'seen': 'M-6 0 Q0 -6 6 0 Q0 6 -6 0 Z M-1.5 0 H1.5',
  'outlet': 'M-4 -5 H4 V5 H-4 Z M-1.5 -1.5 V1.5 M1.5 -1.5 V1.5',
  'joint': '',
}
const shape = computed(() => {
  if (reading.method === 'detector-edge') return edge.value === 'left' ? 'M4 -6 H0 V6 H4' : 'M-4 -6 H0 V6 H-4'
  if (reading.method === 'joint') return reading.direction === 'bed' ? 'M-7 -2 H7 M-7 2 H7' : 'M-2 -7 V7 M2 -7 V7'
  return SHAPES[reading.method]
})
const filled = computed(() => (reading.method === 'probe' || reading.method === 'pilot') && reading.hit === true)
const against = computed(() => reading.hit === false || reading.dull === false)
</script>

<template>
  <g
    :data-reading="reading.id"
    :class="lit ? 'text-flag' : unexplained ? 'text-stop' : 'text-ink'"
    @pointerenter="hover('reading', reading.id)"
    @pointerleave="leave"
  >
    <title>{{ itemName(reading) }}: {{ METHOD_NAMES[reading.method] }}{{ reading.hit === false ? ', miss'
      : '' }}{{ reading.setAside === undefined ? '' : `, excluded: ${reading.setAside}` }}</title>
    <path
      v-if="reference"
      :d="`M${reference.front} ${reading.y} H${x}`"
      :class="{ 'text-chalk': !lit }"
      stroke="currentColor"
      :stroke-width="lit ? 1.6 : 1"
      :opacity="lit ? 1 : 0.35"
      stroke-dasharray="2 4"
      vector-effect="non-scaling-stroke"
      pointer-events="none"
      data-transfer
    />
    <g :transform="place" :opacity="reading.setAside !== undefined ? 0.4 : reference ? 0.65 : 1">
      <rect x="-9" y="-9" width="18" height="18" fill="transparent" />
      <path :d="shape" fill="none" stroke="var(--color-wall)" stroke-width="4.5" stroke-linejoin="round" />
      <path
        :d="shape"
        :fill="filled ? 'currentColor' : 'none'"
        stroke="currentColor"
        :stroke-width="lit ? 2.6 : 1.7"
        :stroke-dasharray="reference ? '2.5 1.5' : undefined"
        stroke-linejoin="round"
      />
      <path v-if="against" d="M-6 6 L6 -6" stroke="currentColor" stroke-width="1.7" />
      <path v-if="reading.setAside !== undefined" d="M-8 0 H8" stroke="currentColor" stroke-width="2" />
      <text
        v-if="unexplained"
        x="7"
        y="-4"
        font-size="13"
        font-weight="700"
        fill="currentColor"
        class="select-none"
      >
        ?
      </text>
    </g>
  </g>
</template>
