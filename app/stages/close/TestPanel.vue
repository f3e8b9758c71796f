<script setup lang="ts">
import { authorText } from '~~/core/log/author'
/** The test picture, and whether it was as it should be. */
const store = useWallStore()
const { record } = useClose()
const { shown } = useTestPicture()
const note = ref('')
const fault = ref('')
const last = computed(() => store.array && record.value?.tested.get(store.array.id))
function say(passed: boolean) {
  if (!store.array) return
  if (!passed && !note.value.trim()) return void (fault.value = 'Enter what is wrong.')
  fault.value = store
    .record({ kind: 'tested', array: store.array.id, passed, ...(note.value.trim() && { note: note.value.trim() }) })
    .map(({ message }) => message)
    .join(' ')
  if (!fault.value) note.value = ''
}
</script>

<template>
  <section aria-label="Test pattern">
    <h2 class="text-sm font-semibold">
      Test pattern
    </h2>
    <p v-if="last" class="text-sm">
      {{ last.passed ? '✓ Passed' : 'Failed' }}{{ last.note ? `: ${last.note}` : '' }}.
      <span class="text-ink-soft">{{ authorText(last) }}, {{ whenOf(last.at) }}</span>
    </p>
    <input
      v-model="note"
      class="field-input mt-1"
      aria-label="Faults in the test pattern"
      placeholder="what is wrong, if anything"
      autocomplete="off"
      maxlength="2000"
      @input="fault = ''"
    >
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <div class="mt-1 flex flex-wrap gap-2">
      <button type="button" class="press max-md:!hidden" :aria-pressed="shown" @click="shown = !shown">
        {{ shown ? 'Hide pattern' : 'Show pattern' }}
      </button>
      <button type="button" class="press" @click="say(true)">
        Record pass
      </button>
      <button type="button" class="press" @click="say(false)">
        Record fail
      </button>
    </div>
  </section>
</template>
