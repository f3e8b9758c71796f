<script setup lang="ts">
import { TriangleAlert } from 'lucide-vue-next'
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { useOutbox } from '~/sync/useOutbox'

/** What the server refused of what was done on this device, with its reasons, to send again or to give up. */
const { outbox, waiting } = useOutbox()
const refused = computed(() => waiting.value.entries.length + waiting.value.photos.length)
</script>

<template>
  <Popover class="relative">
    <PopoverButton class="flex h-9 items-center gap-1 rounded bg-stop-wash px-2 text-xs font-semibold text-stop" data-testid="set-aside">
      <TriangleAlert class="size-4" aria-hidden="true" /> {{ refused }} refused
    </PopoverButton>
    <PopoverPanel class="absolute right-0 z-20 mt-1 max-h-96 w-80 overflow-y-auto border border-hair bg-board p-3 text-sm text-ink shadow-lg">
      <p class="font-semibold">
        The server did not take these. They are still on this device.
      </p>
      <ul class="mt-2 space-y-3">
        <li v-for="entry in waiting.entries" :key="entry.n" class="border-l-4 border-stop pl-2" data-testid="refused-entry">
          <p>{{ [`${entry.entry.kind}${'hole' in entry.entry ? ` ${entry.entry.hole}` : ''}`, entry.wall, entry.entry.by, new Date(entry.entry.at).toLocaleString()].join(', ') }}</p>
          <p class="text-stop">
            {{ entry.refused }}
          </p>
          <span class="mt-1 flex gap-2">
            <button type="button" class="press !px-2" @click="outbox.resend(entry)">Send again</button>
            <button type="button" class="press !px-2" @click="outbox.giveUp(entry)">Give it up</button>
          </span>
        </li>
        <li v-for="photo in waiting.photos" :key="photo.name" class="border-l-4 border-stop pl-2">
          <p>Picture {{ photo.name }}</p>
          <p class="text-stop">
            {{ photo.refused }}
          </p>
          <button type="button" class="press mt-1 !px-2" @click="outbox.device.photos.delete(photo.name)">
            Give it up
          </button>
        </li>
      </ul>
    </PopoverPanel>
  </Popover>
</template>
