<script setup lang="ts">
import type { Stage } from '~~/core/finding'
import { waitOf } from '~~/core/plan/waits'
import { titleOf } from '~/stages'

/** Says for which stage one waits, and how many stops stand there. */
const { stage } = defineProps<{ stage: Stage }>()
const { findings } = useWallPlan()
const wait = computed(() => waitOf(stage, findings.value))
</script>

<template>
  <p v-if="wait" class="border-l-4 border-caution bg-caution-wash px-2 py-1 text-sm" data-testid="waits">
    Waiting for {{ titleOf(wait!.stage) }}: {{ wait.stops }} {{ wait.stops === 1 ? 'stop' : 'stops' }} there. Figures
    here are provisional until then.
  </p>
</template>
