<script setup lang="ts">
import type { LogEntry } from '~~/core/job'
import { nextRevision } from '~~/core/revision/letters'
import type { UnsentEntry } from '~/sync/device'
import { fetchWall } from '~/sync/fetchWall'

/**
 * Issues a mark-out under the next letter, where another person issued his own under its letter meanwhile: what was
 * frozen, with the names of its holes, stays as it is.
 */
const { unsent } = defineProps<{ unsent: UnsentEntry }>()
const emit = defineEmits<{ reissued: [entry: LogEntry] }>()
const fault = ref('')
async function reissue() {
  try {
    const { job } = await fetchWall(unsent.site, unsent.wall)
    emit('reissued', { ...unsent.entry, id: newId(), revision: nextRevision(job.log, unsent.wall) } as LogEntry)
  }
  catch (error) {
    fault.value = (error as Error).message
  }
}
</script>

<template>
  <button type="button" class="press !px-2" @click="reissue">
    Issue under next letter
  </button>
  <span v-if="fault" class="field-fault" role="alert">{{ fault }}</span>
</template>
