<script setup lang="ts">
/** Who issues the next revision, and what is to be said of it. */
const { verb = 'Issue' } = defineProps<{ verb?: string }>()
const emit = defineEmits<{ issued: [revision: string] }>()
const { next, ready, issue } = useIssuing()
const { name, nameId, fault, signed } = useSigner('Write your name: it stands on every sheet.')
const note = ref('')
const noteId = useId()
const WHOSE: Record<string, string> = { '$.by': 'A name ', '$.note': 'A note ' }
function go() {
  const by = signed()
  if (!by) return
  const revision = next.value
  const faults = issue(by, note.value)
  fault.value = faults.map(({ path, message }) => `${WHOSE[path] ?? ''}${message}`).join(' ')
  if (faults.length > 0) return
  note.value = ''
  emit('issued', revision)
}
</script>

<template>
  <form class="space-y-2" data-testid="issue-form" @submit.prevent="go">
    <div class="grid grid-cols-2 gap-2">
      <FieldFrame :id="nameId" label="Issued by">
        <input :id="nameId" v-model="name" class="field-input" autocomplete="name" maxlength="200" :aria-invalid="fault !== ''" @input="fault = ''">
      </FieldFrame>
      <FieldFrame :id="noteId" label="Note">
        <input :id="noteId" v-model="note" class="field-input" autocomplete="off" maxlength="2000">
      </FieldFrame>
    </div>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <button type="submit" class="press press-first w-full !min-h-12" :disabled="!ready">
      {{ verb }} revision {{ next }}
    </button>
  </form>
</template>
