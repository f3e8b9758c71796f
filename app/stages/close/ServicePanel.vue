<script setup lang="ts">
import { authorText } from '~~/core/log/author'
import { behindOf, getOutOf, replacementOf } from '~~/core/close'

/**
 * Years later: what is behind a screen, how to get it out, another model in its place, how the seams drift, and what is
 * due.
 */
const store = useWallStore()
const { screens, record, handover, of } = useClose()
const { live, built } = useWallPlan()
const { tell } = useUnits()
const { select, selectedOf } = useSelection()
const fault = ref('')
const chosen = computed(() => screens.value.find(({ id }) => id === selectedOf('screen')) ?? screens.value[0])
const array = computed(() => of.value?.wall.arrays.find(({ id }) => id === chosen.value?.array))
const behind = computed(
  () =>
    chosen.value
    && live.value
    && of.value
    && behindOf(chosen.value, built.value, live.value.wiring, store.catalogue.fasteners, of.value.site),
)
const out = computed(() =>
  chosen.value && array.value && live.value
    ? getOutOf(
        chosen.value.id,
        array.value,
        live.value.arrays.find(({ id }) => id === array.value!.id)!,
        store.catalogue,
      )
    : undefined,
)
const model = ref('')
const next = computed(() => store.catalogue.displays.find(({ id }) => id === model.value))
const changes = computed(() =>
  chosen.value && array.value && next.value
    ? replacementOf(chosen.value, next.value, array.value, store.catalogue)
    : [],
)
const serial = ref('')
const visit = reactive({ purpose: 'service' as 'service' | 'inspection', note: '' })
const overdue = computed(
  () =>
    handover.value?.inspection.due !== undefined
    && handover.value.inspection.due < new Date().toISOString().slice(0, 10),
)
const LISTS = [
  ['holes', 'Holes and fasteners'],
  ['boxes', 'Boxes'],
  ['cables', 'Cables'],
  ['circuit', 'Circuit'],
] as const

function sayVisit() {
  fault.value = store
    .record({ kind: 'visit', purpose: visit.purpose, ...(visit.note.trim() && { note: visit.note.trim() }) })
    .map(({ message }) => message)
    .join(' ')
  if (!fault.value) visit.note = ''
}
/**
 * What was taken out and put in is recorded; where its model is another, the design says so too, and all is planned
 * anew.
 */
function replace() {
  const screen = chosen.value
  if (!screen || !next.value) return
  if (!serial.value.trim()) return void (fault.value = 'Enter the serial number of the new screen.')
  const { row, column } = screen
  if (next.value.id !== screen.model) {
    const faults = store.edit(`Replace model at ${screen.label}`, (wall) => {
      const array = arrayOf(wall, screen.array)
      const cell = (array.cells ??= []).find(each => each.row === row && each.column === column)
      if (cell) cell.display = next.value!.id
      else array.cells.push({ row, column, display: next.value!.id })
    })
    if (faults.length > 0) return void (fault.value = faultText(faults))
  }
  const faults = [
    ...store.record({ kind: 'replaced', screen: screen.id, model: next.value.id }),
    ...store.record({ kind: 'serial', screen: screen.id, serial: serial.value.trim() }),
  ]
  fault.value = faultText(faults)
  if (faults.length === 0) serial.value = model.value = ''
}
</script>

<template>
  <div v-if="handover" class="space-y-3">
    <section aria-label="Inspections" class="text-sm">
      <p :class="overdue ? 'border-l-4 border-caution bg-caution-wash px-2 py-1' : ''" data-testid="inspection">
        <template v-if="handover.inspection.due">
          Next inspection by <b>{{ handover.inspection.due }}</b>{{ overdue ? ', overdue' : '' }}, every
          {{ handover.inspection.every }} months.
        </template>
        <template v-else>
          Inspection every {{ handover.inspection.every }} months, starting at sign-off.
        </template>
      </p>
      <details class="mt-1">
        <summary class="cursor-pointer">
          Inspection checklist
        </summary>
        <ul class="mt-1 space-y-1 text-xs">
          <li v-for="(each, n) in handover.inspection.inspected" :key="n">
            <b>{{ tell(each.what) }}.</b> {{ tell(each.how) }}
          </li>
        </ul>
      </details>
    </section>
    <label class="block text-sm">Screen
      <select
        class="field-input"
        :value="chosen?.id"
        aria-label="Screen"
        @change="select('screen', ($event.target as HTMLSelectElement).value)"
      >
        <option v-for="{ id, label } in screens" :key="id" :value="id">{{ label }}</option>
      </select>
    </label>
    <section v-if="behind" aria-label="Behind this screen" class="text-sm">
      <h2 class="font-semibold">
        Behind {{ chosen!.label }}<span
          class="font-normal text-ink-soft"
        >{{ record?.serials.get(chosen!.id)
          ? `, serial ${record!.serials.get(chosen!.id)!.serial}` : '' }}</span>
      </h2>
      <template v-for="[key, title] in LISTS" :key="key">
        <h3 class="mt-1 text-xs font-semibold text-ink-soft">
          {{ title }}
        </h3>
        <ul class="ml-3 list-disc">
          <li v-for="(line, n) in behind[key]" :key="n">
            {{ tell(line) }}
          </li>
          <li v-if="behind[key].length === 0" class="text-ink-soft">
            none recorded
          </li>
        </ul>
      </template>
      <p class="mt-1">
        <b>Contacts:</b> {{ behind.call.length ? behind.call.join('; ') : 'none entered for this site' }}
      </p>
    </section>
    <section v-if="out" aria-label="Removal steps" class="text-sm">
      <h2 class="font-semibold">
        Removal steps
      </h2>
      <ol class="ml-4 list-decimal">
        <li v-for="(step, n) in out.steps" :key="n">
          {{ tell(step) }}
        </li>
      </ol>
    </section>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <section aria-label="Replace screen" class="text-sm">
      <h2 class="font-semibold">
        Replace screen
      </h2>
      <select v-model="model" class="field-input" aria-label="Replacement model">
        <option value="">
          select a model
        </option>
        <option v-for="display in store.catalogue.displays" :key="display.id" :value="display.id">
          {{ display.name ?? display.id }}{{ display.id === chosen?.model ? ' (current model)' : '' }}
        </option>
      </select>
      <ul v-if="changes.length" class="mt-1 space-y-1" data-testid="changes">
        <li
          v-for="(change, n) in changes"
          :key="n"
          class="border-l-4 px-2 py-0.5"
          :class="{ 'border-stop bg-stop-wash': change.severity === 'stop',
                    'border-caution bg-caution-wash': change.severity === 'caution',
                    'border-good': change.severity === 'note' }"
        >
          {{ tell(change.what) }}
        </li>
      </ul>
      <div v-if="next" class="mt-1 grid grid-cols-[1fr_auto] items-end gap-2">
        <label>New serial number<input
          v-model="serial"
          class="field-input"
          autocomplete="off"
          maxlength="200"
          @input="fault = ''"
        ></label>
        <button type="button" class="press" @click="replace">
          Record replacement
        </button>
      </div>
    </section>
    <DriftPanel v-if="array" :array="array" />
    <section aria-label="Visits" class="text-sm">
      <h2 class="font-semibold">
        Visits
      </h2>
      <ul class="divide-y divide-hair">
        <li v-for="entry in record?.visits" :key="entry.id" class="py-1" data-testid="visit">
          {{ entry.purpose }}{{ entry.note ? `: ${entry.note}` : '' }} <span
            class="text-ink-soft"
          >{{ authorText(entry) }}, {{ whenOf(entry.at) }}</span>
        </li>
      </ul>
      <div class="mt-1 grid grid-cols-[7rem_1fr] gap-2">
        <select v-model="visit.purpose" class="field-input" aria-label="Purpose of the visit">
          <option value="service">
            service
          </option>
          <option value="inspection">
            inspection
          </option>
        </select>
        <input
          v-model="visit.note"
          class="field-input"
          aria-label="Work done and findings"
          placeholder="work done and findings"
          autocomplete="off"
          maxlength="2000"
        >
      </div>
      <button type="button" class="press mt-1" @click="sayVisit">
        Record visit
      </button>
    </section>
    <PhotoPanel />
  </div>
</template>
