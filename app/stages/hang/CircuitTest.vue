<script setup lang="ts">
import { CIRCUIT_TESTS, type CircuitTestKey } from '~~/core/close/circuitTests'
import { authorText } from '~~/core/log/author'
import { ofKind, standing } from '~~/core/log'

/** The results of a circuit’s tests: pass or fail of each, figures where they were measured, and who tested. */
const { circuit } = defineProps<{ circuit: string }>()
const emit = defineEmits<{ passed: [] }>()
const store = useWallStore()
const KEYS = Object.keys(CIRCUIT_TESTS) as CircuitTestKey[]
type Results = Partial<Record<CircuitTestKey, boolean>>
const results = ref<Results>({})
const [tripTime, current, tester, note] = [ref(''), ref(''), ref(''), ref('')]
const fault = ref('')
const FIGURES = [
  { label: 'Trip time (ms)', field: tripTime }, { label: 'Current, all on (A)', field: current },
]
const last = computed(() =>
  ofKind(standing(store.allLog, store.wall!), 'circuit-test').findLast(entry => entry.circuit === circuit))
watch(() => circuit, () => {
  results.value = {}
  for (const field of [tripTime, current, note]) field.value = ''
  tester.value ||= last.value?.tester ?? ''
}, { immediate: true })
/** What was typed as a figure: undefined where nothing was, NaN where it is none. */
const read = (text: string) => text.trim() === '' ? undefined : Number(text.trim().replace(',', '.'))
function record() {
  const [time, amps] = [read(tripTime.value), read(current.value)]
  const open = KEYS.filter(key => results.value[key] === undefined)
  fault.value = [
    ...open.length > 0 ? [`Enter pass or fail: ${open.map(key => CIRCUIT_TESTS[key]).join(', ')}.`] : [],
    ...tester.value.trim() ? [] : ['Enter who tested, with the number of the licence.'],
    ...FIGURES.filter(({ field }) => Number.isNaN(read(field.value))).map(({ label }) => `${label} must be a number.`),
  ].join(' ')
  if (fault.value) return
  const { polarity, trip, load } = results.value as Record<CircuitTestKey, boolean>
  fault.value = faultText(store.record({
    kind: 'circuit-test', circuit, polarity, trip, load, tester: tester.value.trim(),
    ...(time !== undefined && { tripTime: time }),
    ...(amps !== undefined && { current: amps }),
    ...(note.value.trim() && { note: note.value.trim() }),
  }))
  if (fault.value) return
  results.value = {}
  note.value = ''
  if (polarity && trip && load) emit('passed')
}
/** Pass is green and fail red once chosen; both say so in words. */
function look(key: CircuitTestKey, passed: boolean) {
  if (results.value[key] !== passed) return ''
  return passed ? 'border-2! border-good! text-good!' : 'border-2! border-stop! text-stop!'
}
const told = computed(() => last.value && KEYS.map(key =>
  `${CIRCUIT_TESTS[key]}: ${last.value![key] ? 'pass' : 'fail'}`).join(', '))
</script>

<template>
  <section class="mt-2 space-y-2 border-t border-hair pt-2" aria-label="Circuit test" data-testid="circuit-test">
    <div v-for="key in KEYS" :key="key" class="flex items-center gap-2">
      <span class="flex-1">{{ CIRCUIT_TESTS[key] }}</span>
      <button
        v-for="passed in [true, false]"
        :key="String(passed)"
        type="button"
        class="press !min-h-12 w-20"
        :class="look(key, passed)"
        :aria-pressed="results[key] === passed"
        :aria-label="`${CIRCUIT_TESTS[key]}: ${passed ? 'pass' : 'fail'}`"
        @click="results[key] = passed"
      >
        {{ passed ? 'Pass' : 'Fail' }}
      </button>
    </div>
    <div class="grid grid-cols-2 gap-2">
      <label v-for="{ label, field } in FIGURES" :key="label" class="text-sm">{{ label }}
        <input
          v-model="field.value"
          class="field-input !min-h-12"
          inputmode="decimal"
          maxlength="10"
          autocomplete="off"
        >
      </label>
    </div>
    <label class="block text-sm">Tested by, licence number
      <input v-model="tester" class="field-input !min-h-12" maxlength="200" autocomplete="off">
    </label>
    <label class="block text-sm">Note
      <input v-model="note" class="field-input !min-h-12" maxlength="2000" autocomplete="off">
    </label>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <button type="button" class="press w-full !min-h-12" @click="record()">
      Record circuit test
    </button>
    <p
      v-if="last"
      class="border-l-4 px-2 py-1 text-sm"
      :class="last.polarity && last.trip && last.load ? 'border-good bg-good-wash' : 'border-stop bg-stop-wash'"
      data-testid="circuit-tested"
    >
      {{ told }}. Tested by {{ last.tester }}; recorded {{ whenOf(last.at) }}, {{ authorText(last) }}
    </p>
  </section>
</template>
