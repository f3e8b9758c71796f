<script setup lang="ts">
import { HAZARDS } from '~~/core/mount'
import type { Feature } from '~~/core/job'
import { lineOf } from '~~/core/job/featureParts'

/** Something on or in front of the wall; what must not be drilled is striped, what stands in front is dashed. */
const { feature } = defineProps<{ feature: Feature }>()
const { isLit, hover, leave } = useSelection()
const lit = computed(() => isLit({ kind: 'feature', id: feature.id }))
const line = computed(() => lineOf(feature))
const hazard = computed(() => HAZARDS[feature.kind] !== undefined)
const inFront = computed(() => ['counter', 'furniture'].includes(feature.kind))
</script>

<template>
  <g
    :class="lit ? 'text-flag' : hazard ? 'text-stop' : 'text-ink-soft'"
    :data-feature="feature.id"
    @pointerenter="hover('feature', feature.id)"
    @pointerleave="leave"
  >
    <title>{{ featureName(feature.kind) }}</title>
    <line
      v-if="line"
      :x1="line.from.x"
      :y1="line.from.y"
      :x2="line.to.x"
      :y2="line.to.y"
      stroke="currentColor"
      :stroke-width="lit ? 5 : 3.5"
      stroke-dasharray="9 3"
      vector-effect="non-scaling-stroke"
    />
    <rect
      v-else
      :x="feature.x"
      :y="feature.y"
      :width="feature.width"
      :height="feature.height"
      :fill="hazard ? 'url(#hatch-hazard)' : 'url(#hatch-door)'"
      :fill-opacity="inFront ? 0.5 : 1"
      :stroke="lit || hazard ? 'currentColor' : 'var(--color-edge)'"
      :stroke-width="lit ? 2.5 : 1.2"
      :stroke-dasharray="inFront ? '8 4' : undefined"
      vector-effect="non-scaling-stroke"
    />
    <DraftLettering
      :x="feature.x + feature.width / 2"
      :y="feature.y + feature.height"
      anchor="middle"
      :size="11"
      :dy="-4"
      halo
    >
      {{ featureName(feature.kind).toLowerCase() }}
    </DraftLettering>
  </g>
</template>
