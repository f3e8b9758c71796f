<script setup lang="ts">
import { CloudUpload } from 'lucide-vue-next'
import { useOutbox } from '~/sync/useOutbox'

/** What this device has still to send, whatever page is open. */
const { state, waiting, rejected } = useOutbox()
const STORE = { full: 'This device’s storage is full', denied: 'This browser blocks storage for this page' } as const
</script>

<template>
  <p
    v-if="state.store"
    class="rounded bg-stop-wash px-2 py-1 text-xs font-semibold text-stop"
    role="alert"
    data-testid="device-full"
    title="Work done here is lost when you close this page, unless it is sent first"
  >
    {{ STORE[state.store] }}
  </p>
  <span
    v-if="waiting.count > 0 && (state.offline || state.trouble)"
    class="flex items-center gap-1 text-xs"
    role="status"
    data-testid="unsent"
    :title="`Stored on this device; sent when the server ${state.trouble ? 'accepts it' : 'can be reached'}`"
  >
    <CloudUpload class="size-4" aria-hidden="true" /> {{ waiting.count }} unsent
  </span>
  <p
    v-if="state.setAside?.length"
    class="max-w-md rounded bg-caution-wash px-2 py-1 text-xs text-ink"
    role="status"
    data-testid="waits-for-planner"
    :title="state.setAside.join('. ')"
  >
    {{ state.setAside.length === 1 ? '1 entry was' : `${state.setAside.length} entries were` }} sent and
    wait{{ state.setAside.length === 1 ? 's' : '' }} for a planner’s approval
  </p>
  <RefusedList v-if="rejected > 0" />
</template>
