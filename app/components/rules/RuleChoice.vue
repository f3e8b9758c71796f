<script setup lang="ts">
import { RadioGroup, RadioGroupDescription, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import type { HouseRule } from '~~/core/job'

/** One question on which good installers disagree: the schools, each with its reason, and the firm's choice. */
const { rule, value } = defineProps<{ rule: HouseRule, value: string }>()
const emit = defineEmits<{ choose: [value: string] }>()
</script>

<template>
  <RadioGroup :model-value="value" class="border-t border-hair pt-4" @update:model-value="emit('choose', $event)">
    <RadioGroupLabel class="font-semibold">
      {{ rule.title }}
    </RadioGroupLabel>
    <RadioGroupOption v-for="school in rule.schools" :key="school.value" v-slot="{ checked, active }" :value="school.value" class="mt-2 cursor-pointer focus:outline-none">
      <div class="flex gap-3 rounded border bg-paper p-3" :class="[checked ? 'border-pine' : 'border-hair', { 'outline-3 outline-offset-2 outline-focus': active }]">
        <span class="mt-0.5 grid size-5 shrink-0 place-items-center rounded-full border-2" :class="checked ? 'border-pine' : 'border-edge'"><span v-if="checked" class="size-2.5 rounded-full bg-pine" /></span>
        <span>
          <RadioGroupLabel as="span" class="block" :class="{ 'font-semibold': checked }">{{ school.name }}</RadioGroupLabel>
          <RadioGroupDescription as="span" class="block text-sm text-ink-soft">{{ school.why }}</RadioGroupDescription>
        </span>
      </div>
    </RadioGroupOption>
  </RadioGroup>
</template>
