<script setup lang="ts">
import { RadioGroup, RadioGroupDescription, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import {
  chosenOption, effectiveRules, levelOfRule, type HouseRule, type RuleLevel, type RuleLevels,
} from '~~/core/rules'

/**
 * One question on which good installers disagree: the options, each with its reason, what holds here, and who chose it.
 */
const {
  rule,
  levels,
  level,
  fixed = false,
} = defineProps<{ rule: HouseRule, levels: RuleLevels, level: RuleLevel, fixed?: boolean }>()
const emit = defineEmits<{ choose: [value: string | undefined] }>()
const value = computed(() => chosenOption(rule, effectiveRules(levels)).value)
const from = computed(() => levelOfRule(rule.key, levels))
</script>

<template>
  <RadioGroup
    :model-value="value"
    :disabled="fixed"
    class="border-t border-hair pt-4"
    :data-rule="rule.key"
    @update:model-value="emit('choose', $event)"
  >
    <div class="flex flex-wrap items-baseline justify-between gap-2">
      <RadioGroupLabel class="font-semibold">
        {{ rule.title }}
      </RadioGroupLabel>
      <span class="text-sm text-ink-soft" data-testid="chosen-by">{{ CHOSEN_BY[from ?? 'default'] }}</span>
    </div>
    <RadioGroupOption
      v-for="option in rule.options"
      :key="option.value"
      v-slot="{ checked, active }"
      :value="option.value"
      class="mt-2 focus:outline-none"
      :class="{ 'cursor-pointer': !fixed }"
    >
      <div
        class="flex gap-3 rounded border bg-paper p-3"
        :class="[checked ? 'border-pine' : 'border-hair', { 'outline-3 outline-offset-2 outline-focus': active }]"
      >
        <span
          class="mt-0.5 grid size-5 shrink-0 place-items-center rounded-full border-2"
          :class="checked ? 'border-pine' : 'border-edge'"
        ><span
          v-if="checked"
          class="size-2.5 rounded-full bg-pine"
        /></span>
        <span>
          <RadioGroupLabel
            as="span"
            class="block"
            :class="{ 'font-semibold': checked }"
          >{{ option.name }}</RadioGroupLabel>
          <RadioGroupDescription as="span" class="block text-sm text-ink-soft">{{ option.why }}</RadioGroupDescription>
        </span>
      </div>
    </RadioGroupOption>
    <button v-if="from === level && !fixed" type="button" class="press mt-2" @click="emit('choose', undefined)">
      {{ AS_ABOVE[level] }}
    </button>
  </RadioGroup>
</template>
