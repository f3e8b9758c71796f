<script setup lang="ts">
import { chosenFigure } from '~~/core/rules'
import { isSeam } from './places'
import type { ReadingKind } from './typedFigure'

/**
 * Gaps and steps at the ends of seams and the level of the row that others go by, one place after the other, by a
 * keypad made for it; what is missing constrains nothing.
 */
const emit = defineEmits<{ recorded: [] }>()
const store = useWallStore()
const { array } = useTruing()
const {
  places,
  place,
  index,
  kinds,
  field,
  now,
  entered,
  wrong,
  round,
  put,
  go,
  goFigure,
  offTarget,
  all,
  clear,
  withUnit,
} = useReadings()
const fault = ref('')
const { system, showThin, unitOf } = useUnits()
const tolerance = computed(() => chosenFigure('seamTolerance', store.rules, system.value))
/** Sixteenths are typed as they are read off the gauge. */
const KEYS = computed(() => [
  ...'123456789',
  system.value === 'imperial' ? '/' : '.',
  '0',
  system.value === 'imperial' ? 'space' : '⌫',
])
const KEY_NAMES: Record<string, string> = { '⌫': 'Delete', 'space': 'Space', '/': 'Slash' }
const NAMES: Record<ReadingKind, string> = { gap: 'Gap', step: 'Step', roll: 'Level' }
/** Whether a figure is within the tolerance, as soon as it is typed; by how much it is not. */
function verdict(kind: ReadingKind): { good: boolean, text: string } | undefined {
  const off = offTarget(kind)
  if (off === undefined) return undefined
  return off <= tolerance.value + 1e-6
    ? { good: true, text: '✓ within tolerance' }
    : { good: false, text: `${showThin(off - tolerance.value)} out of tolerance` }
}
const label = (kind: ReadingKind) =>
  kind === 'gap' && place.value && isSeam(place.value)
    ? `Gap, target ${withUnit(place.value.target)}`
    : kind === 'step'
      ? 'Step, second minus first'
      : `${unitOf('mm/m')}, + right end up`

function press(key: string) {
  fault.value = ''
  const text = now.value[field.value] ?? ''
  put(
    key === '⌫'
      ? text.slice(0, -1)
      : key === 'space'
        ? `${text} `
        : key === '±'
          ? text.startsWith('-')
            ? text.slice(1)
            : `-${text}`
          : `${text}${key}`,
  )
}
const inputs = useTemplateRef<HTMLInputElement[]>('inputs')
/** Goes on by the keyboard: what is typed next goes where it is asked for. */
async function byKeys(step: () => void) {
  step()
  await nextTick()
  inputs.value?.find(({ dataset }) => dataset.kind === field.value)?.focus()
}
function record() {
  const readings = all()
  if (!readings) return
  if (readings.gaps.length + readings.steps.length + readings.rolls.length === 0)
    return void (fault.value = 'Enter at least one reading.')
  const faults = store.record({ kind: 'seams', array: array.value!.id, round: round.value, ...readings })
  fault.value = faultText(faults)
  if (faults.length > 0) return
  clear()
  emit('recorded')
}
useCommands([
  { id: 'seam-next', title: 'Next reading', group: 'True', keys: ['pagedown'], run: () => go(1) },
  { id: 'seam-back', title: 'Previous reading', group: 'True', keys: ['pageup'], run: () => go(-1) },
])
</script>

<template>
  <div v-if="place" class="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto">
    <p class="text-sm text-ink-soft">
      Round {{ round }}: point {{ index + 1 }} of {{ places.length }}, {{ entered }} read
    </p>
    <p class="text-2xl font-bold leading-tight" data-testid="seam-end">
      {{ place.label }}
    </p>
    <div class="grid gap-2" :class="{ 'grid-cols-2': kinds.length > 1 }">
      <label
        v-for="kind in kinds"
        :key="kind"
        class="block rounded border p-2"
        :class="field === kind ? 'border-2 border-flag' : 'border-edge'"
      >
        <span class="text-sm">{{ label(kind) }}</span>
        <input
          ref="inputs"
          :value="now[kind] ?? ''"
          class="figures w-full bg-transparent text-right text-5xl font-semibold leading-none outline-none"
          :data-kind="kind"
          :aria-label="NAMES[kind]"
          inputmode="none"
          autocomplete="off"
          @focus="field = kind"
          @input="field = kind; fault = ''; put(($event.target as HTMLInputElement).value)"
          @keydown.enter.prevent="byKeys(() => goFigure(1))"
          @keydown.page-down.stop.prevent="byKeys(() => go(1))"
          @keydown.page-up.stop.prevent="byKeys(() => go(-1))"
        >
        <span
          v-if="verdict(kind)"
          class="text-sm font-semibold"
          :class="verdict(kind)!.good ? 'text-good' : 'text-caution'"
          data-testid="reading-verdict"
        >{{ verdict(kind)!.text }}</span>
      </label>
    </div>
    <p v-if="wrong" class="field-fault" role="alert">
      {{ wrong }}.
    </p>
    <div class="grid grid-cols-4 gap-2" role="group" aria-label="Keypad">
      <div class="col-span-3 grid grid-cols-3 gap-2">
        <button
          v-for="key in KEYS"
          :key="key"
          type="button"
          class="press !min-h-12 !text-xl"
          :aria-label="KEY_NAMES[key] ?? key"
          @click="press(key)"
        >
          {{ key === 'space' ? '␣' : key }}
        </button>
      </div>
      <div class="grid gap-2">
        <div v-if="system === 'imperial'" class="grid grid-cols-2 gap-2">
          <button
            v-for="key in ['.', '⌫']"
            :key="key"
            type="button"
            class="press !min-h-12 !px-1 !text-xl"
            :aria-label="KEY_NAMES[key] ?? key"
            @click="press(key)"
          >
            {{ key }}
          </button>
        </div>
        <button
          type="button"
          class="press !min-h-12 !text-xl"
          aria-label="Change the sign"
          :disabled="field === 'gap'"
          @click="press('±')"
        >
          ±
        </button>
        <button type="button" class="press !min-h-12" :disabled="index === 0" @click="go(-1)">
          Back
        </button>
        <button
          type="button"
          class="press press-first !min-h-12"
          :class="{ 'row-span-2': system === 'metric' }"
          @click="go(1)"
        >
          Next
        </button>
      </div>
    </div>
    <GaugeBar />
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <button type="button" class="press press-first w-full shrink-0 !min-h-12" :disabled="entered === 0" @click="record">
      Save and calculate turns
    </button>
  </div>
</template>
