<script setup lang="ts">
/** A few words, such as a name. */
const { label, value, actions } = defineProps<{
  label: string
  value: string
  actions: FieldActions<string>
  hint?: string
}>()
function read(text: string): Read<string> {
  return text.trim() ? { ok: true, value: text.trim() } : { ok: false, message: 'Enter a name' }
}
</script>

<template>
  <TypedField :label="label" :shown="value" :read="read" :actions="actions" :hint="hint" :numeric="false" />
</template>
