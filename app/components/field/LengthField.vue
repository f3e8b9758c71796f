<script setup lang="ts">
import type { Fault } from '~~/core/job'
import { parseLength } from '~~/core/units'

/**
 * A length, typed in either unit system, shown in the one that is read now; one with `clear` can be emptied, and is
 * then not given.
 */
const { value, actions, clear } = defineProps<{
  label: string
  value: number | undefined
  actions: FieldActions<number>
  hint?: string
  clear?: () => Fault[]
}>()
const { system, showFine } = useUnits()
const shown = computed(() => value === undefined ? '' : showFine(value))
function read(text: string): Read<number | undefined> {
  if (clear && text.trim() === '') return { ok: true, value: undefined }
  const reading = parseLength(text, system.value)
  return reading.ok ? { ok: true, value: reading.mm } : reading
}
const given: FieldActions<number | undefined> = {
  tryOut: mm => mm === undefined ? [] : actions.tryOut?.(mm) ?? [],
  commit: mm => mm === undefined ? clear!() : actions.commit(mm),
}
</script>

<template>
  <TypedField :label="label" :shown="shown" :read="read" :actions="given" :hint="hint" />
</template>
