<script setup lang="ts">
import Papa from 'papaparse'
import { CSV_OUT } from '~~/core/csv'
import { KINDS, type ModelKind } from '~~/core/catalogue'
import type { StockLine } from '~~/core/programme/stock/stock'
import { plural } from '~~/core/units/plural'

/** What the next visits need against what store and vans hold; what is short, and what to order. */
interface Line extends StockLine { name: string, pack?: number }
interface Stock { days: number, pending: number, places: { id: string, name: string }[], lines: Line[] }
const store = useProgrammeStore()
const session = useSessionStore()
const stock = ref<Stock>()
const failed = ref('')
const SPANS = [
  { value: '7', label: '7 days' },
  { value: '14', label: '14 days' },
  { value: '28', label: '28 days' },
  { value: '366', label: '1 year' },
]
const days = ref(14)
const search = ref('')
const only = ref(true)
async function load() {
  try {
    stock.value = await api<Stock>(`/stock?days=${days.value}`)
    failed.value = ''
  }
  catch (error) {
    failed.value = (error as Error).message
  }
}
await load()
watch([days, () => store.data?.pending], load)
const lines = computed(() =>
  (stock.value?.lines ?? []).filter(
    line =>
      (!only.value || line.reserved > 0 || line.least > 0 || (line.short ?? 0) > 0 || (line.have ?? 0) < 0)
      && `${line.name} ${line.model}`.toLowerCase().includes(search.value.trim().toLowerCase()),
  ),
)
const short = computed(() => (stock.value?.lines ?? []).filter(line => (line.short ?? 0) > 0))
const placeName = (id: string) => stock.value?.places.find(place => place.id === id)?.name ?? id
const verdict = ({ have, short = 0, least, reserved }: Line) =>
  have === undefined
    ? 'not counted'
    : have < 0
      ? 'negative: count again'
      : short > 0
        ? least > 0 && have >= reserved
          ? `${short} below reorder level`
          : `${short} short`
        : 'enough'

/** The model whose form is open: it stays while the lines are read anew. */
const open = ref<Pick<Line, 'kind' | 'model'>>()
const isOpen = ({ kind, model }: Line) => open.value?.kind === kind && open.value.model === model
const form = reactive({ change: '', from: 'store', to: '', note: '', least: '' })
const fault = ref('')
function choose(line: Line) {
  open.value = isOpen(line) ? undefined : { kind: line.kind, model: line.model }
  Object.assign(form, {
    change: '',
    from: line.places[0]?.place ?? 'store',
    to: '',
    note: '',
    least: String(line.least),
  })
  fault.value = ''
}
async function enter() {
  const { kind, model } = open.value!
  const typed = form.change.trim().replace('−', '-')
  if (!/^[+-]?\d{1,6}$/.test(typed) || Number(typed) === 0)
    return void (fault.value = 'The quantity must be a whole number: 20 for goods in, -12 for goods out.')
  if (form.to && Number(typed) < 0) return void (fault.value = 'The quantity to transfer must be above 0.')
  try {
    const note = form.note.trim() || (form.to && `${placeName(form.from)} to ${placeName(form.to)}`)
    await api(`/catalogue/${kind}/stock`, {
      method: 'POST',
      body: { model, change: Number(typed), place: form.from, ...(form.to && { to: form.to }), ...(note && { note }) },
    })
    open.value = undefined
    await load()
  }
  catch (error) {
    const { faults = [], message } = error as ApiError
    fault.value = faults.length > 0 ? faults.map(each => `It ${each.message}.`).join(' ') : message
  }
}
async function keepLeast() {
  const { kind, model } = open.value!
  if (!/^\d{1,6}$/.test(form.least.trim()))
    return void (fault.value = 'The reorder level must be a whole number; 0 means none.')
  const least = Number(form.least)
  fault.value = await store.edit(now => ({
    ...now,
    minimums: [
      ...(now.minimums ?? []).filter(each => each.kind !== kind || each.model !== model),
      ...(least > 0 ? [{ kind, model, least }] : []),
    ],
  }))
  if (fault.value) return
  open.value = undefined
  await load()
}
function order() {
  const rows = short.value.map(({ kind, model, name, short: missing, pack, packs, for: walls }) => ({
    kind: KINDS[kind as ModelKind].name,
    model,
    name,
    short: missing,
    pack: pack ?? '',
    packs: packs ?? '',
    order: packs !== undefined && pack !== undefined ? packs * pack : missing,
    for: walls.map(({ wall, count }) => `${wall}: ${count}`).join('; '),
  }))
  saveFile(
    `order-${new Date().toISOString().slice(0, 10)}.csv`,
    new Blob([`\uFEFF${Papa.unparse(rows, CSV_OUT)}`], { type: 'text/csv;charset=utf-8' }),
  )
}
</script>

<template>
  <ProgrammeFrame title="Stock and vans">
    <main tabindex="0" aria-label="Stock and vans" class="mx-auto w-full max-w-6xl flex-1 overflow-y-auto p-4">
      <div class="mb-3 flex flex-wrap items-end justify-between gap-3">
        <h1 class="text-2xl font-bold" data-testid="short">
          {{ short.length === 0 ? 'Nothing is short'
            : `${plural(short.length, 'model is', 'models are')} short` }}
        </h1>
        <div class="flex flex-wrap items-end gap-2">
          <ChoiceField
            label="Visits in the next"
            :value="String(days)"
            :options="SPANS"
            :commit="chosen => { days = Number(chosen); return [] }"
          />
          <FieldFrame id="stock-search" label="Search">
            <input id="stock-search" v-model="search" type="search" class="field-input" autocomplete="off">
          </FieldFrame>
          <label class="flex min-h-[var(--target)] items-center gap-2 text-sm"><input
            v-model="only"
            type="checkbox"
            class="size-5"
          > Required or low items only</label>
          <button type="button" class="press press-first" :disabled="short.length === 0" @click="order">
            Export order list (CSV)
          </button>
        </div>
      </div>
      <p v-if="failed" class="field-fault" role="alert">
        {{ failed }}
      </p>
      <table v-else class="w-full text-left text-sm" data-testid="stock-table">
        <thead class="text-xs text-ink-soft">
          <tr>
            <th class="py-1 font-normal">
              Model
            </th>
            <th class="text-right font-normal">
              Required
            </th>
            <th class="w-20 text-right font-normal">
              In stock
            </th>
            <th class="pl-4 font-normal max-md:hidden">
              Location
            </th>
            <th class="w-24 text-right font-normal max-md:hidden">
              Used
            </th>
            <th class="w-24 text-right font-normal max-md:hidden">
              Reorder level
            </th>
            <th class="pl-4 font-normal">
              Status
            </th>
          </tr>
        </thead>
        <tbody>
          <template v-for="line in lines" :key="`${line.kind} ${line.model}`">
            <tr class="border-t border-hair align-top" :data-model="line.model">
              <td class="py-2 pr-2">
                <button
                  type="button"
                  class="min-h-6 text-left font-semibold underline decoration-hair underline-offset-4
                    hover:decoration-ink"
                  :aria-expanded="isOpen(line)"
                  @click="choose(line)"
                >
                  {{ line.name }}
                </button>
                <span class="block text-xs text-ink-soft">{{ KINDS[line.kind].name }}<template v-if="line.for.length">;
                  {{ line.for.map(({ wall, count }) => `${count} for ${wall}`).join(', ') }}</template></span>
              </td>
              <td class="figures py-2 text-right">
                {{ line.reserved }}
              </td>
              <td class="figures py-2 text-right font-semibold">
                {{ line.have ?? 'not known' }}
              </td>
              <td class="py-2 pl-4 max-md:hidden">
                {{ line.places.map(({ place, count }) => `${placeName(place)} ${count}`).join(', ') || '–' }}
              </td>
              <td class="figures py-2 text-right max-md:hidden">
                {{ line.used }}
              </td>
              <td class="figures py-2 text-right max-md:hidden">
                {{ line.least || '–' }}
              </td>
              <td
                class="py-2 pl-4 font-semibold"
                :class="{ 'text-stop': (line.short ?? 0) > 0
                            || (line.have ?? 0) < 0,
                          'text-caution': line.have === undefined }"
              >
                {{ verdict(line) }}<span
                  v-if="line.packs"
                  class="block text-xs font-normal text-ink-soft"
                >order {{ line.packs }} × {{ line.pack }}</span>
              </td>
            </tr>
            <tr v-if="isOpen(line) && session.may('firm.stock')">
              <td colspan="7" class="bg-board p-3">
                <form class="flex flex-wrap items-end gap-2" novalidate @submit.prevent="enter">
                  <FieldFrame id="move-change" label="Quantity, + in, − out" class="w-32">
                    <input
                      id="move-change"
                      v-model="form.change"
                      class="field-input text-right"
                      inputmode="numeric"
                      autocomplete="off"
                      @input="fault = ''"
                    >
                  </FieldFrame>
                  <FieldFrame id="move-from" label="Location">
                    <select id="move-from" v-model="form.from" class="field-input">
                      <option v-for="place in stock!.places" :key="place.id" :value="place.id">
                        {{ place.name }}
                      </option>
                    </select>
                  </FieldFrame>
                  <FieldFrame id="move-to" label="Transfer to">
                    <select id="move-to" v-model="form.to" class="field-input">
                      <option value="">
                        no transfer
                      </option>
                      <option
                        v-for="place in stock!.places.filter(({ id }) => id !== form.from)"
                        :key="place.id"
                        :value="place.id"
                      >
                        {{ place.name }}
                      </option>
                    </select>
                  </FieldFrame>
                  <FieldFrame id="move-note" label="Note" class="min-w-40 flex-1">
                    <input id="move-note" v-model="form.note" class="field-input" autocomplete="off" maxlength="2000">
                  </FieldFrame>
                  <button type="submit" class="press press-first">
                    Record
                  </button>
                  <template v-if="session.may('programme.plan')">
                    <FieldFrame id="move-least" label="Reorder level" class="w-28">
                      <input
                        id="move-least"
                        v-model="form.least"
                        class="field-input text-right"
                        inputmode="numeric"
                        autocomplete="off"
                        @input="fault = ''"
                      >
                    </FieldFrame>
                    <button type="button" class="press" @click="keepLeast">
                      Save reorder level
                    </button>
                  </template>
                </form>
                <p v-if="fault" class="field-fault" role="alert">
                  {{ fault }}
                </p>
              </td>
            </tr>
          </template>
        </tbody>
      </table>
      <p class="mt-3 text-xs text-ink-soft">
        In stock: the last count, less what the wall logs show as used since. Required: what the walls of published
        visits still need. Tools and bits are on the day sheet.
      </p>
    </main>
  </ProgrammeFrame>
</template>
