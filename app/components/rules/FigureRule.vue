<script setup lang="ts">
import {
  chosenFigure, effectiveRules, levelOfRule, type RuleFigure, type RuleLevel, type RuleLevels,
} from '~~/core/rules'
import { formatLength, fromSystem, inSystem, parseLength, type UnitSystem } from '~~/core/units'

/** A house rule that is a length or a force: what holds here, who chose it, and to choose it for this level. */
const {
  figure,
  levels,
  level,
  units,
  fixed = false,
} = defineProps<{ figure: RuleFigure, levels: RuleLevels, level: RuleLevel, units: UnitSystem, fixed?: boolean }>()
const emit = defineEmits<{ choose: [value: number | undefined] }>()
const shown = computed(() => {
  const value = chosenFigure(figure.key, effectiveRules(levels), units)
  return figure.unit
    ? String(Number(inSystem({ value, unit: figure.unit }, units).value.toPrecision(4)))
    : formatLength(value, units, { decimals: 1, denominator: 32 })
})
const unit = computed(() =>
  figure.unit ? inSystem({ value: 0, unit: figure.unit }, units).unit : units === 'metric' ? 'mm' : '',
)

/** What was typed, mm or N; or why it is none. */
function readOf(text: string): { ok: true, value: number } | { ok: false, message: string } {
  if (!figure.unit) {
    const read = parseLength(text, units)
    return read.ok ? { ok: true, value: read.mm } : read
  }
  const value = Number(text.replace(',', '.'))
  return text.trim() !== '' && Number.isFinite(value)
    ? { ok: true, value: fromSystem(value, figure.unit, units) }
    : { ok: false, message: `“${text}” is not a number.` }
}
const typed = ref<string>()
const fault = ref('')
function choose() {
  if (typed.value === undefined) return
  const read = readOf(typed.value)
  fault.value = !read.ok ? read.message : read.value < 0 ? 'It must not be negative.' : ''
  if (!read.ok || fault.value) return
  emit('choose', read.value)
  typed.value = undefined
}
</script>

<template>
  <div class="max-w-sm border-t border-hair pt-4" :data-rule="figure.key">
    <FieldFrame
      :id="figure.key"
      v-slot="{ describedby }"
      :label="unit ? `${figure.title} (${unit})` : figure.title"
      :fault="fault"
      :hint="figure.why"
    >
      <input
        :id="figure.key"
        class="field-input text-right"
        :readonly="fixed"
        :value="typed ?? shown"
        :aria-invalid="fault !== ''"
        :aria-describedby="describedby"
        autocomplete="off"
        @input="typed = ($event.target as HTMLInputElement).value"
        @change="choose"
      >
    </FieldFrame>
    <p class="mt-1 text-sm text-ink-soft">
      {{ CHOSEN_BY[levelOfRule(figure.key, levels) ?? 'default'] }}
    </p>
    <button
      v-if="levelOfRule(figure.key, levels) === level && !fixed"
      type="button"
      class="press mt-2"
      @click="emit('choose', undefined)"
    >
      {{ AS_ABOVE[level] }}
    </button>
  </div>
</template>
