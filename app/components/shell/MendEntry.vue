<script setup lang="ts">
import { logEntryFaults, type LogEntry } from '~~/core/job'
import { ENTRY_FIELD_NAMES } from '~~/core/log'

/**
 * An entry of the log that was refused, its figures and words to be put right. Lengths are millimetres, as the log has
 * them.
 */
const { entry } = defineProps<{ entry: LogEntry }>()
const emit = defineEmits<{ mended: [entry: LogEntry], cancel: [] }>()
const FIXED = new Set(['id', 'kind', 'wall', 'seq', 'receivedAt', 'prev', 'hash'])
const asTyped = (value: unknown) => value === undefined ? '' : String(value)
const given = entry as unknown as Record<string, unknown>
/** What is missing stands among the fields too. */
const missing = logEntryFaults(entry)
  .map(({ path }) => path.slice(2))
  .filter(key => /^\w+$/.test(key) && !FIXED.has(key))
const keys = [
  ...new Set([
    ...Object.keys(given).filter(key => !FIXED.has(key) && ['string', 'number'].includes(typeof given[key])),
    ...missing,
  ]),
]
const typed = reactive(Object.fromEntries(keys.map(key => [key, asTyped(given[key])])))
const faults = ref<Record<string, string>>({})
const id = useId()

function mend() {
  const mended: Record<string, unknown> = { ...given, id: newId() }
  for (const key of keys) {
    const text = typed[key]!.trim()
    if (text === asTyped(given[key])) continue
    if (text === '') Reflect.deleteProperty(mended, key)
    else
      mended[key]
        = (typeof given[key] === 'number' || key === 'x' || key === 'y') && Number.isFinite(Number(text))
          ? Number(text)
          : text
  }
  const found = logEntryFaults(mended)
  faults.value = Object.fromEntries(found.map(({ path, message }) => [path.slice(2), message]))
  if (found.length === 0) emit('mended', mended as unknown as LogEntry)
}
</script>

<template>
  <form class="mt-1 space-y-1" data-testid="mend-entry" @submit.prevent="mend">
    <FieldFrame
      v-for="key in keys"
      :id="`${id}-${key}`"
      :key="key"
      v-slot="{ describedby }"
      :label="ENTRY_FIELD_NAMES[key] ?? key"
      :fault="faults[key]"
      inline
    >
      <input
        :id="`${id}-${key}`"
        v-model="typed[key]"
        class="field-input !min-h-8 text-sm"
        autocomplete="off"
        :aria-invalid="key in faults"
        :aria-describedby="describedby"
      >
    </FieldFrame>
    <p
      v-for="(message, key) in faults"
      v-show="!keys.includes(String(key))"
      :key="key"
      class="field-fault"
      role="alert"
    >
      {{ ENTRY_FIELD_NAMES[key] ?? key }} {{ message }}.
    </p>
    <span class="flex gap-2">
      <button type="submit" class="press press-first !px-2">Send corrected entry</button>
      <button type="button" class="press !px-2" @click="emit('cancel')">Cancel</button>
    </span>
  </form>
</template>
