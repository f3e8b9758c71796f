<script setup lang="ts">
/** A new password, which is written once and can be looked at. */
const { id, fault = '', label = 'Password' } = defineProps<{ id: string, fault?: string, label?: string }>()
const password = defineModel<string>({ required: true })
const shown = ref(false)
</script>

<template>
  <FieldFrame
    :id="id"
    v-slot="{ describedby }"
    :label="label"
    :fault="fault"
    hint="At least 12 characters. A few words work well."
  >
    <span class="flex gap-2">
      <input
        :id="id"
        v-model="password"
        class="field-input"
        :type="shown ? 'text' : 'password'"
        autocomplete="new-password"
        maxlength="200"
        :aria-invalid="fault !== ''"
        :aria-describedby="describedby"
      >
      <button
        type="button"
        class="press"
        :aria-pressed="shown"
        @click="shown = !shown"
      >{{ shown ? 'Hide' : 'Show' }}</button>
    </span>
  </FieldFrame>
</template>
