<script setup lang="ts">
/** A whole number, typed or stepped by its two buttons. */
const { label, value, actions } = defineProps<{ label: string, value: number, actions: FieldActions<number> }>()
function read(text: string): Read<number> {
  return /^\d{1,6}$/.test(text.trim())
    ? { ok: true, value: Number(text) }
    : { ok: false, message: `“${text}” is not a whole number` }
}
</script>

<template>
  <TypedField :label="label" :shown="String(value)" :read="read" :actions="actions" />
</template>
