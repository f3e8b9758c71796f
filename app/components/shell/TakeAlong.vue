<script setup lang="ts">
import { HardDriveDownload } from 'lucide-vue-next'
import { stillThere } from '~/sync/takeAlong'
import { useTakeAlong } from '~/sync/useTakeAlong'
import { plural } from '~~/core/units/plural'

/**
 * Saves a site for a day without a signal: its walls, what was issued, pictures and sheets come to this device. It goes
 * on when the page is left.
 */
const { site } = defineProps<{ site: string }>()
const { device, taken, progress: underWay, faults, take } = useTakeAlong()
const cleared = ref(false)
const here = computed(() => taken.value[site])
const progress = computed(() => underWay.value[site])
const fault = computed(() => faults.value[site] ?? '')
const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(bytes < 1e6 ? 2 : 1)} MB`
watch(
  here,
  async (saved) => {
    cleared.value = saved !== undefined && !(await stillThere(device, site, saved))
  },
  { immediate: true },
)
const label = computed(() => {
  if (progress.value !== undefined) return `Saving: ${Math.round(100 * progress.value)} %`
  return here.value && !cleared.value ? 'Save for offline again' : 'Save for offline'
})
</script>

<template>
  <section class="space-y-1" aria-label="Save for offline" data-testid="take-along">
    <button type="button" class="press" :disabled="progress !== undefined" @click="take(site)">
      <HardDriveDownload class="size-4" aria-hidden="true" /> {{ label }}
    </button>
    <p v-if="cleared" class="text-sm font-semibold text-stop" role="alert">
      The site is no longer on this device: its storage was cleared. Save it again.
    </p>
    <p v-else-if="here" class="text-sm text-ink-soft" data-testid="taken">
      On this device since {{ whenOf(here.at) }}: {{ here.walls }} {{ here.walls === 1 ? 'wall' : 'walls' }},
      {{ here.photos }} {{ here.photos === 1 ? 'photo' : 'photos' }}{{ here.files
        ? `, ${plural(here.files, 'file')}` : '' }}, {{ megabytes(here.bytes) }}.
    </p>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
  </section>
</template>
