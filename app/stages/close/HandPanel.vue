<script setup lang="ts">
import type { EntryOf } from '~~/core/log'
import { authorText } from '~~/core/log/author'
import { FileArchive, FileText } from 'lucide-vue-next'

/** Handing over: test picture, photographs, open points, remarks, signature, the client's link and the pack. */
const store = useWallStore()
const { record, handover } = useClose()
const { system } = useUnits()
const fault = ref('')
/** Who made a remark, and which name a client typed. */
const whoOf = (entry: EntryOf<'remark'>) => entry.name ? `${authorText(entry)} (“${entry.name}”)` : authorText(entry)
const remark = ref('')
const address = (format: string) =>
  `/api/sites/${store.site}/walls/${store.id}/handover?format=${format}&units=${system.value}`
const stops = computed(() => handover.value?.missing.filter(({ severity }) => severity === 'stop').length ?? 0)
function sayRemark() {
  if (!remark.value.trim()) return void (fault.value = 'Enter the remark first.')
  fault.value = faultText(store.record({ kind: 'remark', note: remark.value.trim() }))
  if (!fault.value) remark.value = ''
}
</script>

<template>
  <div class="space-y-4">
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <TestPanel />
    <PhotoPanel />
    <PointsPanel />
    <section aria-label="Remarks">
      <h2 class="text-sm font-semibold">
        Client remarks
      </h2>
      <ul class="text-sm">
        <li v-for="entry in record?.remarks" :key="entry.id" class="border-b border-hair py-1">
          {{ entry.note }}
          <span class="text-ink-soft">{{ whoOf(entry) }}, {{ whenOf(entry.at) }}</span>
        </li>
      </ul>
      <textarea
        v-model="remark"
        rows="2"
        maxlength="2000"
        class="field-input mt-1 w-full"
        aria-label="Client remark"
        placeholder="in the client’s words"
      />
      <button type="button" class="press mt-1" @click="sayRemark">
        Save remark
      </button>
    </section>
    <SignPanel />
    <LinkPanel v-if="store.rights('wall.links')" />
    <section aria-label="Handover pack">
      <h2 class="text-sm font-semibold">
        Handover pack
      </h2>
      <p class="text-xs text-ink-soft">
        Built from the wall as saved on the server. The same data always gives an identical
        pack.{{ stops > 0 ? ` ${stops === 1 ? 'A stop is' : `${stops} stops are`} open: the front page says so.` : '' }}
      </p>
      <div class="mt-1 grid grid-cols-2 gap-2">
        <a
          class="press"
          :href="address('pdf')"
          download
          data-testid="pack-pdf"
        ><FileText class="size-4" aria-hidden="true" /> PDF</a>
        <a
          class="press"
          :href="address('zip')"
          download
          data-testid="pack-zip"
        ><FileArchive class="size-4" aria-hidden="true" /> ZIP, open formats</a>
      </div>
    </section>
  </div>
</template>
