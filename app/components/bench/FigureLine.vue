<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { lasts, type Figure } from '~~/core/units'

/** A computed figure; pressing it opens the sum behind it, with its numbers and its source. */
const { figure, fine = false } = defineProps<{
  label: string
  figure: Figure
  /** Whether a length is shown to the tenth, where a whole millimetre would mislead. */
  fine?: boolean
}>()
const { show, showFine, tell, tellSum, suffix, inUnits, quantity, bit } = useUnits()
/** A length below this would lose what it has to say in whole millimetres, mm. */
const SMALL = 10
/** From so many minutes on they are told in hours. */
const HOUR = 60
/** Lengths as they are marked, small ones finer; all else in the reader's unit to two decimals at most. */
const shown = computed(() => {
  if (figure.unit === 'mm')
    return { value: (fine || Math.abs(figure.value) < SMALL ? showFine : show)(figure.value), unit: suffix.value }
  if (figure.unit === 'bit') return { value: bit(figure.value), unit: '' }
  if (figure.unit === 'min' && figure.value >= HOUR) return { value: lasts(figure.value), unit: '' }
  const { value, unit } = inUnits(figure.value, figure.unit)
  return { value: String(Number(value.toFixed(unit === 'N' || unit === 'lbf' ? 0 : 2))), unit }
})
</script>

<template>
  <Disclosure v-slot="{ open }" as="div" class="border-b border-hair">
    <DisclosureButton
      class="flex min-h-[var(--target)] w-full items-baseline justify-between gap-2 py-1 text-left text-sm"
      :title="open ? 'Hide working' : 'Show working'"
    >
      <span>{{ label }}</span>
      <span class="whitespace-nowrap"><b class="figures text-lg font-semibold">{{ shown.value }}</b> <span
        class="text-xs text-ink-soft"
      >{{ shown.unit }}</span></span>
    </DisclosureButton>
    <DisclosurePanel class="pb-2 text-sm">
      <p v-for="step in figure.working" :key="step.label">
        <span class="figures">{{ tellSum(step.expression) }} =
          {{ step.unit === 'mm' ? tell([{ mm: step.value }]) : quantity(step.value, step.unit) }}</span>
        <span v-if="step.source" class="block text-xs text-ink-soft">Source: {{ step.source }}</span>
      </p>
    </DisclosurePanel>
  </Disclosure>
</template>
