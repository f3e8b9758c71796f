<script setup lang="ts">
/** Issues the next revision, with its note. */
const { verb = 'Issue' } = defineProps<{ verb?: string }>()
const emit = defineEmits<{ issued: [revision: string] }>()
const store = useWallStore()
const { next, ready, issue } = useIssuing()
const fault = ref('')
const note = ref('')
const noteId = useId()
const WHOSE: Record<string, string> = { '$.note': 'A note ' }
function go() {
  const revision = next.value
  const faults = issue(note.value)
  fault.value = faults.map(({ path, message }) => `${WHOSE[path] ?? ''}${message}`).join(' ')
  if (faults.length > 0) return
  note.value = ''
  emit('issued', revision)
}
</script>

<template>
  <p v-if="!store.rights('wall.issue')" class="text-sm text-ink-soft">
    Only a lead or planner can issue.
  </p>
  <form v-else class="space-y-2" data-testid="issue-form" @submit.prevent="go">
    <FieldFrame :id="noteId" label="Note">
      <input :id="noteId" v-model="note" class="field-input" autocomplete="off" maxlength="2000">
    </FieldFrame>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <button type="submit" class="press press-first w-full !min-h-12" :disabled="!ready">
      {{ verb }} revision {{ next }}
    </button>
  </form>
</template>
