<script setup lang="ts">
import { STAGES, type Stage } from '~~/core/finding'
import type { StageState } from '~~/core/plan/stageStates'
import { STAGE_BADGE_LOOKS, STAGE_BADGE_MARKS, STAGE_BADGE_WORDS } from './knots'

/** The nine stages of a wall on one line, small: how each stands. */
const { stages } = defineProps<{ stages: Partial<Record<Stage, StageState>> }>()
const said = computed(() =>
  STAGES.map(stage => `${stage}: ${stages[stage] ? STAGE_BADGE_WORDS[stages[stage]] : 'not known'}`).join(', '),
)
</script>

<template>
  <span class="relative inline-flex w-fit items-center gap-[5px]" role="img" :aria-label="said" :title="said">
    <span class="absolute inset-x-1 top-1/2 h-0.5 -translate-y-1/2 bg-edge" aria-hidden="true" />
    <span
      v-for="stage in STAGES"
      :key="stage"
      class="relative grid size-[17px] place-items-center rounded-full border-2 text-[10px] font-bold leading-none"
      :class="stages[stage] ? STAGE_BADGE_LOOKS[stages[stage]] : 'border-edge border-dotted bg-paper'"
      aria-hidden="true"
    >{{ stages[stage] ? STAGE_BADGE_MARKS[stages[stage]] : '?' }}</span>
  </span>
</template>
