<script setup lang="ts">
import type { LogEntry } from '~~/core/job'

/**
 * A wall by its address alone, as its code on a sheet has it: a wall that was signed for opens for service, one that
 * was issued at the wall, any other at its survey.
 */
const { site, wall } = useRoute().params as { site: string, wall: string }
const log = await api<{ job: { log: LogEntry[] } }>(`/sites/${site}/walls/${wall}`).then(({ job }) => job.log, () => [])
const stage = log.some(({ kind }) => kind === 'signed') ? 'close' : log.some(({ kind }) => kind === 'issued') ? 'hang' : 'survey'
await navigateTo(`/sites/${site}/walls/${wall}/${stage}`, { replace: true })
</script>

<template>
  <p class="p-6" role="status">
    Opening the wall…
  </p>
</template>
