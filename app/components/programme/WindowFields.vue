<script setup lang="ts">
import { WEEK, type Weekday, type Window } from '~~/core/job'
import { DAY_LETTERS } from './when'

/** Windows of a week: on which days, from when to when; what ends no later than it begins ends on the day after. */
const { label, windows } = defineProps<{ label: string, windows: Window[] }>()
const emit = defineEmits<{ change: [windows: Window[]] }>()
const id = useId()
const set = (n: number, change: Partial<Window>) =>
  emit(
    'change',
    windows.map((window, k) => (k === n ? { ...window, ...change } : window)),
  )
const toggle = (n: number, day: Weekday) =>
  set(n, { days: WEEK.filter(each => (each === day) !== windows[n]!.days.includes(each)) })
</script>

<template>
  <fieldset>
    <legend class="field-label">
      {{ label }}
    </legend>
    <div v-for="(window, n) in windows" :key="n" class="mb-1 flex flex-wrap items-center gap-1 text-sm">
      <button
        v-for="day in WEEK"
        :key="day"
        type="button"
        class="min-h-8 w-8 rounded border text-xs font-semibold"
        :class="window.days.includes(day) ? 'border-pine bg-pine text-on-pine' : 'border-edge bg-paper'"
        :aria-pressed="window.days.includes(day)"
        :aria-label="`${label} ${n + 1}: ${day}`"
        @click="toggle(n, day)"
      >
        {{ DAY_LETTERS[day] }}
      </button>
      <input
        :id="`${id}-${n}-from`"
        :value="window.from"
        type="time"
        class="field-input !w-36"
        :aria-label="`${label} ${n + 1}: from`"
        @change="set(n, { from: ($event.target as HTMLInputElement).value })"
      >
      <span>to</span>
      <input
        :id="`${id}-${n}-to`"
        :value="window.to"
        type="time"
        class="field-input !w-36"
        :aria-label="`${label} ${n + 1}: to`"
        @change="set(n, { to: ($event.target as HTMLInputElement).value })"
      >
      <span v-if="window.to <= window.from" class="text-xs text-ink-soft">next day</span>
      <button
        type="button"
        class="press !px-2"
        :aria-label="`${label} ${n + 1}: remove`"
        @click="emit('change', windows.filter((_, k) => k !== n))"
      >
        Remove
      </button>
    </div>
    <button
      type="button"
      class="press"
      @click="emit('change', [...windows, { days: ['mon', 'tue', 'wed', 'thu', 'fri'], from: '08:00', to: '16:00' }])"
    >
      Add hours
    </button>
  </fieldset>
</template>
