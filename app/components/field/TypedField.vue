<script setup lang="ts" generic="T">
/** A text input over useField: Enter or leaving it makes the edit, Escape takes back what was typed. */
const { label, shown, read, actions, hint = '', numeric = true, lines = 1 } = defineProps<{
  label: string
  shown: string
  read: (text: string) => Read<T>
  actions: FieldActions<T>
  hint?: string
  numeric?: boolean
  /** More than one where the text is long; parts of it may then stand each on a line of its own. */
  lines?: number
}>()
const emit = defineEmits<{ fault: [message: string] }>()
const id = useId()
const field = useField(
  () => shown,
  text => read(text),
  { tryOut: value => actions.tryOut?.(value) ?? [], commit: value => actions.commit(value) },
)
const { text, fault, input, done, revert } = field
watch(fault, message => emit('fault', message))
</script>

<template>
  <FieldFrame :id="id" v-slot="{ describedby }" :label="label" :fault="fault" :hint="hint">
    <textarea
      v-if="lines > 1"
      :id="id"
      class="field-input py-1 !text-sm"
      :rows="lines"
      :value="text.replaceAll('; ', '\n')"
      :aria-invalid="fault !== ''"
      :aria-describedby="describedby"
      spellcheck="false"
      @input="input(($event.target as HTMLTextAreaElement).value)"
      @change="done"
      @blur="done"
      @keydown.esc.stop="revert"
    />
    <input
      v-else
      :id="id"
      class="field-input"
      :class="{ 'text-right': numeric }"
      :value="text"
      :aria-invalid="fault !== ''"
      :aria-describedby="describedby"
      autocomplete="off"
      spellcheck="false"
      @input="input(($event.target as HTMLInputElement).value)"
      @change="done"
      @blur="done"
      @keydown.enter="done"
      @keydown.esc.stop="revert"
    >
  </FieldFrame>
</template>
