<script setup lang="ts">
import { Check, X } from 'lucide-vue-next'
import type { MadeHole } from '~~/core/log'

/** What the drill met: hit and miss at once, the rest one touch away. */
const { corrects } = defineProps<{
  /** What was recorded for this hole before: another result corrects it. */
  corrects?: MadeHole['result']
}>()
const emit = defineEmits<{ record: [result: MadeHole['result']] }>()
const more = ref(false)
const OTHERS: { result: MadeHole['result'], title: string }[] = [
  { result: 'void', title: 'Void' }, { result: 'steel', title: 'Steel' }, { result: 'mortar', title: 'Mortar' }, { result: 'blown', title: 'Blown out' }, { result: 'stripped', title: 'Stripped' }, { result: 'other', title: 'Other' },
]
function record(result: MadeHole['result']) {
  more.value = false
  emit('record', result)
}
</script>

<template>
  <p v-if="corrects" class="mt-1 text-sm" data-testid="corrects">
    A new result corrects the recorded one. The log keeps both.
  </p>
  <div class="mt-2 grid grid-cols-[1fr_1fr_auto] gap-2">
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
        <button v-for="{ result, title } in OTHERS" :key="result" type="button" class="press !min-h-12" @click="record(result)">
          {{ title }}
        </button>
      </div>
    </template>
  </div>
</template>
