<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { HardDriveDownload } from 'lucide-vue-next'
import { stillThere, takeAlong, type Taken } from '~/sync/takeAlong'
import { useOutbox } from '~/sync/useOutbox'

/**
 * Takes a site along: its walls, what was issued, pictures and sheets come to this device, for a day without a signal.
 */
const { site } = defineProps<{ site: string }>()
const { device } = useOutbox()
const taken = useLocalStorage<Record<string, Taken>>('wide-trellis:taken', {})
const progress = ref<number>()
const fault = ref('')
const cleared = ref(false)
const here = computed(() => taken.value[site])
const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(bytes < 1e6 ? 2 : 1)} MB`
onMounted(async () => {
  if (here.value) cleared.value = !await stillThere(device, site, here.value)
})
async function take() {
  progress.value = 0
  fault.value = ''
  try {
    taken.value = { ...taken.value, [site]: await takeAlong(device, site, (share) => { progress.value = share }) }
    cleared.value = false
  }
  catch (error) {
    fault.value = error instanceof ApiError && error.isOffline ? 'No connection. Take the site along before you leave.' : `Not everything could be stored on this device: ${(error as Error).message}`
  }
  progress.value = undefined
}
</script>

<template>
  <section class="space-y-1" aria-label="Take along" data-testid="take-along">
    <button type="button" class="press" :disabled="progress !== undefined" @click="take">
      <HardDriveDownload class="size-4" aria-hidden="true" /> {{ progress === undefined ? here && !cleared ? 'Take along again' : 'Take along' : `${Math.round(100 * progress)} %` }}
    </button>
    <p v-if="cleared" class="text-sm font-semibold text-stop" role="alert">
      The site is no longer on this device: its storage was cleared. Take the site along again.
    </p>
    <p v-else-if="here" class="text-sm text-ink-soft" data-testid="taken">
      On this device since {{ whenOf(here.at) }}: {{ here.walls }} {{ here.walls === 1 ? 'wall' : 'walls' }}, {{ here.photos }} {{ here.photos === 1 ? 'photo' : 'photos' }}{{ here.files ? `, ${here.files} ${here.files === 1 ? 'file' : 'files'}` : '' }}, {{ megabytes(here.bytes) }}.
    </p>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
  </section>
</template>
