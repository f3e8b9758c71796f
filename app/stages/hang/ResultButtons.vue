<script setup lang="ts">
import { Check, X } from 'lucide-vue-next'
import { replaces } from '~~/core/hang'
import type { MadeHole } from '~~/core/log'

/** What the drill met: hit and miss at once, the rest one touch away. */
defineProps<{
  /** What was recorded for this hole before: another result corrects it. */
  before?: MadeHole
  /** The result that would take its place, which the person is asked about. */
  replacing?: MadeHole['result']
}>()
const emit = defineEmits<{ record: [result: MadeHole['result']], keep: [] }>()
const more = ref(false)
const OTHERS: { result: MadeHole['result'], title: string }[] = [
  { result: 'void', title: 'Void' },
  { result: 'steel', title: 'Steel' },
  { result: 'mortar', title: 'Mortar' },
  { result: 'blown', title: 'Blown out' },
  { result: 'stripped', title: 'Stripped' },
  { result: 'other', title: 'Other' },
]
function record(result: MadeHole['result']) {
  more.value = false
  emit('record', result)
}
</script>

<template>
  <div
    v-if="before && replacing"
    class="mt-2 border-l-4 border-caution bg-caution-wash px-2 py-1.5"
    data-testid="corrects"
  >
    <p class="font-semibold">
      {{ replaces(before, replacing) }}
    </p>
    <div class="mt-1.5 grid grid-cols-2 gap-2">
      <button type="button" class="press press-first !min-h-12" @click="record(replacing)">
        Replace
      </button>
      <button type="button" class="press !min-h-12" @click="emit('keep')">
        Keep as it is
      </button>
    </div>
  </div>
  <div v-else class="mt-2 grid grid-cols-[1fr_1fr_auto] gap-2">
    <button type="button" class="press !min-h-14 !text-lg border-good! text-good!" @click="record('hit')">
      <Check class="size-6" aria-hidden="true" /> Hit
    </button>
    <button type="button" class="press !min-h-14 !text-lg border-stop! text-stop!" @click="record('miss')">
      <X class="size-6" aria-hidden="true" /> Miss
    </button>
    <button type="button" class="press !min-h-14" :aria-expanded="more" @click="more = !more">
      Other…
    </button>
    <template v-if="more">
      <div class="col-span-3 grid grid-cols-3 gap-2" role="group" aria-label="Other drilling results">
        <button
          v-for="{ result, title } in OTHERS"
          :key="result"
          type="button"
          class="press !min-h-12"
          @click="record(result)"
        >
          {{ title }}
        </button>
      </div>
    </template>
  </div>
</template>
