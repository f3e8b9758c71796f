<script setup lang="ts">
import { parseLength } from '~~/core/units'

/** A length, typed in either unit system, shown in the one that is read now. */
const { value, actions } = defineProps<{ label: string, value: number | undefined, actions: FieldActions<number>, hint?: string }>()
const { system, showFine } = useUnits()
const shown = computed(() => value === undefined ? '' : showFine(value))
function read(text: string): Read<number> {
  const reading = parseLength(text, system.value)
  return reading.ok ? { ok: true, value: reading.mm } : reading
}
</script>

<template>
  <TypedField :label="label" :shown="shown" :read="read" :actions="actions" :hint="hint" />
</template>
