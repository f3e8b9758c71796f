<script setup lang="ts">
import { STAGES } from '~~/core/finding'
import { closedStage } from '~~/core/log'
import { fetchWall } from '~/sync/fetchWall'

/**
 * A wall by its address alone, as its code on a sheet has it: a wall that was signed for opens for service, one that
 * was issued at the wall, any other at its survey.
 */
const { site, wall } = useRoute().params as { site: string, wall: string }
const log = await fetchWall(site, wall).then(({ job }) => job.log, () => [])
const closed = closedStage(log)
const stage = closed === undefined ? 'survey' : STAGES[STAGES.indexOf(closed) + 1] ?? closed
await navigateTo(`/sites/${site}/walls/${wall}/${stage}`, { replace: true })
</script>

<template>
  <p class="p-6" role="status">
    Opening the wall…
  </p>
</template>
