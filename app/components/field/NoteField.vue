<script setup lang="ts">
import type { Fault } from '~~/core/job'

/** A few words that may be left out. */
const { label, value, commit } = defineProps<{
  label: string
  value: string
  commit: (text: string) => Fault[]
  hint?: string
}>()
const read = (text: string): Read<string> => ({ ok: true, value: text.trim() })
</script>

<template>
  <TypedField :label="label" :shown="value" :read="read" :actions="{ commit }" :hint="hint" :numeric="false" />
</template>
