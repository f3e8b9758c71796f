<script setup lang="ts">
import {
  chosenFigure, effectiveRules, levelOfRule, type RuleFigure, type RuleLevel, type RuleLevels,
} from '~~/core/rules'
import { formatLength, parseLength, type UnitSystem } from '~~/core/units'

/** A house rule that is a length: what holds here, who chose it, and to choose it for this level. */
const { figure, levels, level, units, fixed = false } = defineProps<{ figure: RuleFigure, levels: RuleLevels, level: RuleLevel, units: UnitSystem, fixed?: boolean }>()
const emit = defineEmits<{ choose: [mm: number | undefined] }>()
const shown = computed(() => formatLength(chosenFigure(figure.key, effectiveRules(levels), units), units, { decimals: 1, denominator: 32 }))
const typed = ref<string>()
const fault = ref('')
function choose() {
  if (typed.value === undefined) return
  const read = parseLength(typed.value, units)
  fault.value = !read.ok ? read.message : read.mm < 0 ? 'It must not be negative.' : ''
  if (!read.ok || fault.value) return
  emit('choose', read.mm)
  typed.value = undefined
}
</script>

<template>
  <div class="max-w-sm border-t border-hair pt-4" :data-rule="figure.key">
    <FieldFrame :id="figure.key" v-slot="{ describedby }" :label="`${figure.title}${units === 'metric' ? ' (mm)' : ''}`" :fault="fault" :hint="figure.why">
      <input :id="figure.key" class="field-input text-right" :readonly="fixed" :value="typed ?? shown" :aria-invalid="fault !== ''" :aria-describedby="describedby" autocomplete="off" @input="typed = ($event.target as HTMLInputElement).value" @change="choose">
    </FieldFrame>
    <p class="mt-1 text-sm text-ink-soft">
      {{ CHOSEN_BY[levelOfRule(figure.key, levels) ?? 'default'] }}
    </p>
    <button v-if="levelOfRule(figure.key, levels) === level && !fixed" type="button" class="press mt-2" @click="emit('choose', undefined)">
      {{ AS_ABOVE[level] }}
    </button>
  </div>
</template>
