<script setup lang="ts">
/** Whose name goes with what is recorded; `useSigner` asks for it where it is missing. */
const { id, inline = true } = defineProps<{ id: string, inline?: boolean }>()
const name = defineModel<string>({ required: true })
const fault = defineModel<string>('fault', { required: true })
</script>

<template>
  <FieldFrame :id="id" label="Your name" :fault="fault" :inline="inline">
    <input :id="id" v-model="name" class="field-input" autocomplete="name" maxlength="200" :aria-invalid="fault !== ''" @input="fault = ''">
  </FieldFrame>
</template>
