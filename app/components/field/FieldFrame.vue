<script setup lang="ts">
/** A field's label above it and its fault below, tied to the input for those who hear the page. */
const { id, label, fault = '', hint = '' } = defineProps<{ id: string, label: string, fault?: string, hint?: string }>()
</script>

<template>
  <div class="min-w-0">
    <label :for="id" class="field-label">{{ label }}</label>
    <slot :describedby="fault ? `${id}-fault` : undefined" />
    <p v-if="hint && !fault" class="mt-0.5 text-xs text-ink-soft">
      {{ hint }}
    </p>
    <p v-if="fault" :id="`${id}-fault`" class="field-fault" role="alert">
      {{ fault }}
    </p>
  </div>
</template>
