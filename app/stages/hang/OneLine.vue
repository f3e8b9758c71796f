<script setup lang="ts">
/** A line that a person at the wall types, with what is wrong with it. */
const text = defineModel<string>({ required: true })
const { label, fault, most = 2000, placeholder = '' } = defineProps<{
  label: string
  fault: string
  most?: number
  placeholder?: string
}>()
const emit = defineEmits<{ typed: [] }>()
const id = useId()
</script>

<template>
  <FieldFrame :id="id" :label="label" :fault="fault">
    <input
      :id="id"
      v-model="text"
      class="field-input"
      autocomplete="off"
      :maxlength="most"
      :placeholder="placeholder"
      :aria-invalid="fault !== ''"
      @input="emit('typed')"
    >
  </FieldFrame>
</template>
