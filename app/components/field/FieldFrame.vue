<script setup lang="ts">
/** A field's label above it and its fault below, tied to the input for those who hear the page. */
const { id, label, fault = '', hint = '', inline = false } = defineProps<{
  id: string
  label: string
  fault?: string
  hint?: string
  /** Whether the label stands beside the input, which saves a line. */
  inline?: boolean
}>()
</script>

<template>
  <div class="min-w-0">
    <div :class="{ 'flex items-center gap-2': inline }">
      <label :for="id" class="field-label" :class="{ 'w-20 shrink-0': inline }">{{ label }}</label>
      <slot :describedby="fault ? `${id}-fault` : undefined" />
    </div>
    <p v-if="hint && !fault" class="mt-0.5 text-xs text-ink-soft">
      {{ hint }}
    </p>
    <p v-if="fault" :id="`${id}-fault`" class="field-fault" role="alert">
      {{ fault }}
    </p>
  </div>
</template>
