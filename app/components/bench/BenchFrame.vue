<script setup lang="ts">
import type { Stage } from '~~/core/finding'

/** One stage's bench: its decisions, what follows from them, and the findings. */
const { stage, summary } = defineProps<{ stage: Stage, title: string, summary?: string }>()
const { findings, plan, failed } = useWallPlan()
/** Before there is a plan nothing can be said of it, least of all that something is missing. */
const planning = computed(() => plan.value === undefined && failed.value === undefined)
const here = computed(() => findings.value.filter(finding => finding.stage === stage))
</script>

<template>
  <!-- The findings scroll by themselves, so that the decisions stay in sight; a low window scrolls as a whole. -->
  <section class="flex h-full flex-col overflow-y-auto px-4 py-2" :aria-label="title" tabindex="-1">
    <h1 class="text-xl font-bold leading-tight max-md:sr-only">
      {{ title }}
    </h1>
    <p v-if="planning" class="mt-2 text-sm text-ink-soft" role="status">Updating plan…</p>
    <p v-else-if="summary" class="mt-0.5 text-sm text-ink-soft max-md:sr-only">
      {{ summary }}
    </p>
    <WaitsNote :stage="stage" class="mt-1" />
    <div v-if="!planning" class="mt-2 space-y-2.5">
      <slot />
    </div>
    <FindingList
      v-if="here.length"
      class="relative mt-2 mb-1 md:min-h-16 md:flex-1 md:overflow-y-auto"
      :findings="here"
      tabindex="0"
    />
    <WhatNow v-if="!planning" :stage="stage" class="max-md:hidden" />
  </section>
</template>
