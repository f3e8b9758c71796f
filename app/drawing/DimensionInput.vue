<script setup lang="ts">
import { parseLength } from '~~/core/units'
import type { Fault } from '~~/core/job'

/** A dimension of the drawing while it is typed: Enter puts the array there, Escape leaves it. */
const { label, value, x, y, commit } = defineProps<{
  label: string
  value: number
  x: number
  y: number
  commit: (mm: number) => Fault[]
}>()
const emit = defineEmits<{ done: [] }>()
const { system, showFine } = useUnits()
const text = ref(showFine(value))
const fault = ref('')
const input = useTemplateRef<HTMLInputElement>('input')
onMounted(() => input.value?.select())
const id = useId()
/** Left without a change it goes away; what was typed is taken, or told to be wrong. */
function leave() {
  if (text.value === showFine(value)) emit('done')
  else enter()
}
function enter() {
  const read = parseLength(text.value, system.value)
  const faults = read.ok ? commit(read.mm) : [{ path: '$', message: read.message }]
  fault.value = faults.map(({ message }) => `${message.charAt(0).toUpperCase()}${message.slice(1)}.`).join(' ')
  if (faults.length === 0) emit('done')
}
</script>

<template>
  <div
    class="absolute z-20 w-32 -translate-x-1/2 -translate-y-1/2"
    :style="{ left: `${x}px`, top: `${y}px` }"
    data-testid="dimension-input"
  >
    <label :for="id" class="sr-only">{{ label }}</label>
    <input
      :id="id"
      ref="input"
      v-model="text"
      class="field-input !min-h-8 text-center shadow-lg"
      :aria-invalid="fault !== ''"
      :aria-describedby="fault ? `${id}-fault` : undefined"
      autocomplete="off"
      @keydown.enter="enter"
      @keydown.esc.stop="emit('done')"
      @input="fault = ''"
      @blur="leave"
    >
    <p v-if="fault" :id="`${id}-fault`" class="rounded bg-paper px-1 text-xs text-stop shadow" role="alert">
      {{ fault }}
    </p>
  </div>
</template>
