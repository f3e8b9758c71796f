<script setup lang="ts">
import { TriangleAlert } from 'lucide-vue-next'
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import type { LogEntry } from '~~/core/job'
import { LOG_KINDS } from '~~/core/log'
import type { DesignChange, UnsentEntry } from '~/sync/device'
import { useOutbox } from '~/sync/useOutbox'

/**
 * What the server refused of what was done on this device, and what nobody can read of it, with the reasons: to mend,
 * to send again, to save as a file or to give up.
 */
const { outbox, waiting, broken, rejected, drop } = useOutbox()
const mending = ref<number>()
function resend(unsent: UnsentEntry, entry?: LogEntry) {
  mending.value = undefined
  void outbox.resend(unsent, entry)
}
const saveDesign = ({ id, wall }: DesignChange) => saveText(`${id}-not-saved.json`, JSON.stringify(wall, null, 2))
</script>

<template>
  <Popover class="relative">
    <PopoverButton
      class="flex h-9 items-center gap-1 rounded bg-stop-wash px-2 text-xs font-semibold text-stop"
      data-testid="set-aside"
    >
      <TriangleAlert class="size-4" aria-hidden="true" /> {{ rejected }} rejected
    </PopoverButton>
    <PopoverPanel
      class="fixed inset-x-2 top-14 z-20 max-h-[70vh] overflow-y-auto md:absolute md:inset-x-auto md:top-full md:right-0
        md:mt-1 md:w-96 border border-hair bg-board p-3 text-sm text-ink shadow-lg"
    >
      <p class="font-semibold">
        The server rejected these. They are still on this device.
      </p>
      <ul class="mt-2 space-y-3">
        <li
          v-for="entry in waiting.entries"
          :key="entry.n"
          class="border-l-4 border-stop pl-2"
          data-testid="refused-entry"
        >
          <p>
            {{ [`${LOG_KINDS[entry.entry.kind].title}${'hole' in entry.entry ? ` ${entry.entry.hole}` : ''}`,
                entry.wall, entry.entry.by, whenOf(entry.entry.at)].join(', ') }}
          </p>
          <p class="text-stop">
            {{ entry.refused }}
          </p>
          <MendEntry
            v-if="mending === entry.n"
            :entry="entry.entry"
            @mended="resend(entry, $event)"
            @cancel="mending = undefined"
          />
          <span v-else class="mt-1 flex flex-wrap gap-2">
            <ReissueButton v-if="entry.entry.kind === 'issued'" :unsent="entry" @reissued="resend(entry, $event)" />
            <button type="button" class="press !px-2" @click="mending = entry.n">Edit entry</button>
            <button type="button" class="press !px-2" @click="resend(entry)">Send again</button>
            <button type="button" class="press !px-2" @click="outbox.giveUp(entry)">Discard</button>
          </span>
        </li>
        <li
          v-for="change in waiting.designs"
          :key="change.key"
          class="border-l-4 border-stop pl-2"
          data-testid="refused-design"
        >
          <p>
            Changes to <NuxtLink
              :to="`/sites/${change.site}/walls/${change.id}/survey`"
              class="underline"
            >{{ change.wall.name }}</NuxtLink>
          </p>
          <p class="text-stop">
            {{ change.refused }}
          </p>
          <span class="mt-1 flex gap-2">
            <button type="button" class="press !px-2" @click="saveDesign(change)">Save as file</button>
            <button type="button" class="press !px-2" @click="outbox.giveUpDesign(change)">Discard changes</button>
          </span>
        </li>
        <li
          v-for="change in waiting.settings"
          :key="change.key"
          class="border-l-4 border-stop pl-2"
          data-testid="refused-settings"
        >
          <p>Changes to <NuxtLink to="/programme" class="underline">the programme</NuxtLink></p>
          <p class="text-stop">
            {{ change.refused }}
          </p>
          <span class="mt-1 flex gap-2">
            <button type="button" class="press !px-2" @click="outbox.resendSettings()">Send again</button>
            <button type="button" class="press !px-2" @click="outbox.giveUpSettings()">Discard changes</button>
          </span>
        </li>
        <li v-for="photo in waiting.photos" :key="photo.name" class="border-l-4 border-stop pl-2">
          <p>Photo {{ photo.name }}</p>
          <p class="text-stop">
            {{ photo.refused }}
          </p>
          <button type="button" class="press mt-1 !px-2" @click="outbox.device.photos.delete(photo.name)">
            Discard photo
          </button>
        </li>
        <li v-for="draft in broken" :key="draft.name" class="border-l-4 border-stop pl-2" data-testid="broken-draft">
          <p>Changes to {{ draft.name }} stored by an earlier version of this program</p>
          <p class="text-stop">
            They cannot be read: {{ draft.why }}
          </p>
          <details>
            <summary class="cursor-pointer">
              Show changes
            </summary>
            <pre
              class="mt-1 max-h-40 overflow-auto bg-rail p-1 text-xs whitespace-pre-wrap
                break-all"
            >{{ draft.text.slice(0, 20_000) }}</pre>
          </details>
          <span class="mt-1 flex gap-2">
            <button
              type="button"
              class="press !px-2"
              @click="saveText(`${draft.name.replace('/', '-')}-not-read.txt`, draft.text)"
            >Save as file</button>
            <button type="button" class="press !px-2" @click="drop(draft)">Discard changes</button>
          </span>
        </li>
      </ul>
    </PopoverPanel>
  </Popover>
</template>
