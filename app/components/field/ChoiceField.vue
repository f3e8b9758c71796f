<script setup lang="ts">
import type { Fault } from '~~/core/job'

/** One of a few, chosen from a list; a choice that cannot be made says why and changes nothing. */
const { label, value, options, commit, inline = false } = defineProps<{
  label: string
  value: string
  options: { value: string, label: string }[]
  commit: (value: string) => Fault[]
  inline?: boolean
}>()
const id = useId()
const fault = ref('')
const refused = ref<string>()
watch(() => value, () => { fault.value = '' })
function choose(event: Event) {
  const chosen = (event.target as HTMLSelectElement).value
  const faults = commit(chosen)
  fault.value = faults.map(({ message }) => `${message.charAt(0).toUpperCase()}${message.slice(1)}.`).join(' ')
  refused.value = faults.length > 0 ? chosen : undefined
}
</script>

<template>
  <FieldFrame :id="id" v-slot="{ describedby }" :label="label" :fault="fault" :inline="inline">
    <select
      :id="id"
      class="field-input"
      :value="fault ? refused : value"
      :aria-invalid="fault !== ''"
      :aria-describedby="describedby"
      @change="choose"
    >
      <option v-if="!options.some(option => option.value === value)" :value="value" disabled>
        select
      </option>
      <option v-for="option in options" :key="option.value" :value="option.value">
        {{ option.label }}
      </option>
    </select>
  </FieldFrame>
</template>
