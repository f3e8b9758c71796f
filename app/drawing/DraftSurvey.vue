<script setup lang="ts">
import { itemName, type Wall } from '~~/core/job'

/** What the survey adds to the elevation: readings, references, blocking, coursing, relief, the next probe. */
const { wall } = defineProps<{ wall: Wall }>()
const { plan } = useWallPlan()
const { selectedOf } = useSelection()
const { panel } = useSurveyTool()
const view = useDraftView()
const unexplained = computed(() => new Set(plan.value?.unexplained))
const probe = computed(() => plan.value?.nextProbe)
</script>

<template>
  <g>
    <DraftRelief
      v-if="panel === 'flatness' && plan?.relief"
      :relief="plan.relief"
      :width="wall.width"
      :height="wall.height"
    />
    <DraftBlocking :wall="wall" />
    <g v-for="reference in wall.references" :key="reference.id" class="text-chalk" pointer-events="none">
      <path
        :d="`M${reference.front} 0 V${wall.height}`"
        stroke="currentColor"
        stroke-width="1.4"
        stroke-dasharray="3 3"
        vector-effect="non-scaling-stroke"
      />
      <DraftLettering :x="reference.front" :y="0" :dx="4" :dy="-6" :size="11" halo>
        {{ itemName(reference) }}
      </DraftLettering>
    </g>
    <template v-if="panel !== 'flatness'">
      <DraftReading
        v-for="reading in wall.evidence"
        :key="reading.id"
        :reading="reading"
        :references="wall.references"
        :unexplained="unexplained.has(reading.id)"
      />
      <g
        v-if="probe"
        class="text-flag"
        :transform="`translate(${probe.x} ${probe.y}) scale(${1 / view.scale} ${-1 / view.scale})`"
        data-testid="probe-mark"
        pointer-events="none"
      >
        <circle
          :r="selectedOf('probe') ? 20 : 13"
          fill="none"
          stroke="currentColor"
          stroke-width="2.5"
          stroke-dasharray="5 3"
        />
        <path d="M0 -18 V-9 M0 18 V9 M-18 0 H-9 M18 0 H9" stroke="currentColor" stroke-width="2" />
        <text
          x="16"
          y="-12"
          font-size="12"
          font-weight="600"
          fill="currentColor"
          paint-order="stroke"
          stroke="var(--color-wall)"
          stroke-width="4"
        >
          probe next
        </text>
      </g>
    </template>
  </g>
</template>
