<script setup lang="ts">
import { CloudUpload } from 'lucide-vue-next'
import { useOutbox } from '~/sync/useOutbox'

/** What this device has still to send, whatever page is open. */
const { state, waiting } = useOutbox()
const refused = computed(() => waiting.value.entries.length + waiting.value.photos.length)
</script>

<template>
  <p v-if="state.full" class="rounded bg-stop-wash px-2 py-1 text-xs font-semibold text-stop" role="alert" data-testid="device-full">
    This device’s storage is full
  </p>
  <span v-if="waiting.count > 0 && state.offline" class="flex items-center gap-1 text-xs" role="status" data-testid="unsent" title="Kept on this device, sent when the server is back">
    <CloudUpload class="size-4" aria-hidden="true" /> {{ waiting.count }} to send
  </span>
  <LazyRefusedList v-if="refused > 0" />
</template>
