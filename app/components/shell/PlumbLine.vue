<script setup lang="ts">
import type { Stage } from '~~/core/finding'
import { waitOf } from '~~/core/plan/waits'
import { ROOMS, titleOf } from '~/stages'
import { STAGE_BADGE_LOOKS, STAGE_BADGE_MARKS, STAGE_BADGE_WORDS } from './knots'
import { plural } from '~~/core/units/plural'

/** The nine stages as knots on one line; the one that is worked on hangs from it as the bob. */
const { current, base } = defineProps<{ current: Stage, base: string }>()
const stateOf = useStageStates()
const { findings } = useWallPlan()
function said(stage: Stage, does: string) {
  const state = stateOf.value(stage)
  const stops = findings.value.filter(finding => finding.stage === stage && finding.severity === 'stop').length
  if (state === 'stop') return plural(stops, 'stop')
  const wait = waitOf(stage, findings.value)
  if (state === 'waits' && wait) return `waiting for ${titleOf(wait.stage)}`
  return state === 'not started' ? does : STAGE_BADGE_WORDS[state]
}
</script>

<template>
  <nav class="relative flex flex-col bg-rail py-2" aria-label="Stages">
    <span class="absolute bottom-3 left-[22px] top-3 w-0.5 bg-edge" aria-hidden="true" />
    <ol class="relative flex flex-1 flex-col justify-between">
      <li v-for="stage in ROOMS" :key="stage.id">
        <NuxtLink
          :to="`${base}/${stage.id}`"
          class="flex min-h-14 items-center gap-2 py-1 pl-2 pr-2"
          :class="{ 'bg-board': stage.id === current }"
          :aria-current="stage.id === current ? 'step' : undefined"
        >
          <span
            v-if="stage.id === current"
            class="relative grid w-[30px] shrink-0 place-items-center"
            aria-hidden="true"
          >
            <svg width="30" height="40" viewBox="0 0 30 40"><path
              d="M15 0 V8 M8 8 h14 l2 12 l-9 19 l-9 -19 z"
              fill="var(--color-flag)"
              stroke="var(--color-ink)"
              stroke-width="1.5"
              stroke-linejoin="round"
            /></svg>
          </span>
          <span v-else class="grid w-[30px] shrink-0 place-items-center" aria-hidden="true">
            <span
              class="grid size-5 place-items-center rounded-full border-2 text-[11px] font-bold leading-none"
              :class="STAGE_BADGE_LOOKS[stateOf(stage.id)]"
            >{{ STAGE_BADGE_MARKS[stateOf(stage.id)] }}</span>
          </span>
          <span class="min-w-0">
            <span
              class="block text-sm leading-tight"
              :class="stage.id === current ? 'font-bold' : 'font-semibold'"
            >{{ stage.title }}</span>
            <span
              class="block text-[11px] leading-tight"
              :class="stateOf(stage.id) === 'stop' ? 'font-semibold text-stop' : 'text-ink-soft'"
            >{{ said(stage.id, stage.does) }}</span>
          </span>
        </NuxtLink>
      </li>
    </ol>
  </nav>
</template>
