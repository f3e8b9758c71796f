<script setup lang="ts">
import type { Stage } from '~~/core/finding'
import { waitOf } from '~~/core/waits'

/** One stage's bench: its decisions, what follows from them, and the findings. */
const { stage, summary } = defineProps<{ stage: Stage, title: string, summary?: string }>()
const { findings } = useWallPlan()
const wait = computed(() => waitOf(stage, findings.value))
const here = computed(() => findings.value.filter(finding => finding.stage === stage))
</script>

<template>
  <!-- The findings scroll by themselves, so that the decisions stay in sight; a low window scrolls as a whole. -->
  <section class="flex h-full flex-col overflow-y-auto px-4 py-3" :aria-label="title" tabindex="-1">
    <h1 class="text-xl font-bold leading-tight">
      {{ title }}
    </h1>
    <p v-if="summary" class="mt-0.5 text-sm text-ink-soft">
      {{ summary }}
    </p>
    <p v-if="wait" class="mt-1 border-l-4 border-caution bg-caution-wash px-2 py-1 text-sm" data-testid="waits">
      Waits for {{ STAGE_INFO.find(({ id }) => id === wait!.stage)!.title }}: {{ wait.stops }} {{ wait.stops === 1 ? 'stop stands' : 'stops stand' }} there. Nothing here is settled until then.
    </p>
    <div class="mt-2 space-y-2.5">
      <slot />
    </div>
    <FindingList v-if="here.length" class="mt-2 md:min-h-44 md:flex-1 md:overflow-y-auto" :findings="here" tabindex="0" />
  </section>
</template>
