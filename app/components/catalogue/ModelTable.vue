<script setup lang="ts">
import {
  createColumnHelper, FlexRender, getCoreRowModel, getFilteredRowModel, getSortedRowModel, useVueTable,
  type SortingState,
} from '@tanstack/vue-table'
import { ArrowDown, ArrowUp } from 'lucide-vue-next'
import { newestOf, type Model, type ModelKind } from '~~/core/catalogue'
import {
  choiceName, type Display, type Fastener, type Mount, type ScrewKit, type BoxModel, type CableModel,
} from '~~/core/job'

/** The models of one kind: searched, filtered and sorted by what tells them apart. */
const { kind, models, usedBy, unkept } = defineProps<{
  kind: ModelKind
  models: Model[]
  usedBy: (id: string) => number
  unkept: (id: string) => boolean
}>()
const search = defineModel<string>('search', { required: true })
const shown = defineModel<string>('shown', { required: true })
const chosen = defineModel<string>('chosen', { required: true })
const { show, unitOf, inUnits, bit } = useUnits()
const mass = (kg: number) => String(Number(inUnits(kg, 'kg').value.toFixed(1)))
const helper = createColumnHelper<Model>()
/** Diagonal of the picture in inches, by which displays are known. */
const diagonal = ({ width, height, bezel }: Display) =>
  Math.hypot(width - bezel.left - bezel.right, height - bezel.top - bezel.bottom) / 25.4
const name = helper.accessor(({ name, id }) => name ?? id, { id: 'name', header: 'Name' })
const standing = helper.accessor(
  model =>
    unkept(model.id)
      ? 'not saved'
      : model.retired
        ? 'archived'
        : newestOf(models, model) !== model
          ? 'superseded'
          : usedBy(model.id)
            ? `on ${usedBy(model.id)} ${usedBy(model.id) === 1 ? 'wall' : 'walls'}`
            : '',
  { id: 'standing', header: 'Status' },
)
const number = (id: string, header: string, of: (model: never) => number, text: (value: number) => string = String) =>
  helper.accessor(model => of(model as never), {
    id,
    header,
    cell: ({ getValue }) => text(getValue()),
    meta: { numeric: true },
  })
const length = (mm: number) => show(mm)
const columns = computed(
  () =>
    ({
      display: [
        name,
        number(
          'diagonal',
          'Size (in)',
          (model: Display) => diagonal(model),
          value => value.toFixed(0),
        ),
        number('width', 'Width', (model: Display) => model.width, length),
        number('height', 'Height', (model: Display) => model.height, length),
        number('mass', `Mass (${unitOf('kg')})`, (model: Display) => model.mass, mass),
        standing,
      ],
      mount: [
        name,
        helper.accessor(model => choiceName((model as Mount).kind), { id: 'kind', header: 'Type' }),
        number('capacity', `Capacity (${unitOf('kg')})`, (model: Mount) => model.capacity, mass),
        number('stowed', 'Stowed depth', (model: Mount) => model.depth.stowed, length),
        number('members', 'Studs', (model: Mount) => model.needs.members),
        standing,
      ],
      fastener: [
        name,
        helper.accessor(model => choiceName((model as Fastener).base), { id: 'base', header: 'Base material' }),
        number('diameter', 'Diameter', (model: Fastener) => model.diameter, bit),
        number('length', 'Length', (model: Fastener) => model.length, length),
        standing,
      ],
      box: [
        name,
        helper.accessor(model => choiceName((model as BoxModel).kind ?? ''), { id: 'kind', header: 'Type' }),
        number('wide', 'Cut-out width', (model: BoxModel) => model.cutout.width, length),
        number('high', 'Cut-out height', (model: BoxModel) => model.cutout.height, length),
        number('depth', 'Depth', (model: BoxModel) => model.depth, length),
        standing,
      ],
      cable: [
        name,
        helper.accessor(model => choiceName((model as CableModel).kind), { id: 'kind', header: 'Type' }),
        number('diameter', 'Diameter', (model: CableModel) => model.diameter, length),
        number(
          'farthest',
          'Max length',
          (model: CableModel) => model.farthest ?? 0,
          mm => (mm === 0 ? '' : length(mm)),
        ),
        standing,
      ],
      screwKit: [
        name,
        number('thread', 'Thread (M)', (model: ScrewKit) => model.thread),
        number('lengths', 'Lengths', (model: ScrewKit) => model.lengths.length),
        standing,
      ],
    })[kind],
)
const sorting = ref<SortingState>([{ id: 'name', desc: false }])
watch(() => kind, () => { sorting.value = [{ id: 'name', desc: false }] })
/** Of which standing models are shown. */
const filtered = computed(() => models.filter((model) => {
  const old = model.retired || newestOf(models, model) !== model
  return shown.value === 'all' || (shown.value === 'used' ? usedBy(model.id) > 0 : shown.value === 'old' ? old : !old)
}))
const table = useVueTable<Model>({
  get data() {
    return filtered.value
  },
  get columns() {
    return columns.value as never
  },
  state: {
    get sorting() {
      return sorting.value
    },
    get globalFilter() {
      return search.value
    },
  },
  onSortingChange: (change) => {
    sorting.value = typeof change === 'function' ? change(sorting.value) : change
  },
  onGlobalFilterChange: (value) => {
    search.value = value as string
  },
  globalFilterFn: (row, _column, words: string) => {
    const text = [row.original.id, ...row.getAllCells().map(cell => String(cell.getValue()))].join(' ').toLowerCase()
    return words
      .toLowerCase()
      .split(/\s+/)
      .every(word => text.includes(word))
  },
  getRowId: ({ id }) => id,
  getCoreRowModel: getCoreRowModel(),
  getSortedRowModel: getSortedRowModel(),
  getFilteredRowModel: getFilteredRowModel(),
})
const numeric = (meta: unknown) => (meta as { numeric?: boolean } | undefined)?.numeric
const ARIA = { asc: 'ascending', desc: 'descending' } as const
</script>

<template>
  <div class="flex min-h-0 flex-col gap-2">
    <div class="flex gap-2">
      <input
        v-model="search"
        type="search"
        class="field-input"
        placeholder="Search by name, size, status"
        aria-label="Search the catalogue"
      >
      <select v-model="shown" class="field-input !w-40" aria-label="Models shown">
        <option value="current">
          current
        </option><option value="used">
          used on walls
        </option><option value="old">
          archived, superseded
        </option><option value="all">
          all
        </option>
      </select>
    </div>
    <div class="min-h-0 flex-1 overflow-y-auto border-t border-hair" tabindex="0" role="group" aria-label="Models">
      <table class="w-full border-collapse text-sm">
        <thead class="sticky top-0 bg-plaster text-left text-xs text-ink-soft">
          <tr>
            <th
              v-for="header in table.getFlatHeaders()"
              :key="header.id"
              scope="col"
              class="font-medium"
              :class="{ 'text-right': numeric(header.column.columnDef.meta) }"
              :aria-sort="header.column.getIsSorted() ? ARIA[header.column.getIsSorted() as 'asc'] : 'none'"
            >
              <button
                type="button"
                class="inline-flex min-h-8 items-center gap-1 px-2 hover:text-ink"
                @click="header.column.toggleSorting()"
              >
                {{ header.column.columnDef.header }} <component
                  :is="header.column.getIsSorted() === 'desc' ? ArrowDown : ArrowUp"
                  v-if="header.column.getIsSorted()"
                  class="size-3"
                  aria-hidden="true"
                />
              </button>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="row in table.getRowModel().rows"
            :key="row.id"
            class="cursor-pointer border-t border-hair"
            :class="{ 'outline-2 -outline-offset-2 outline-flag': chosen === row.id,
                      'text-ink-soft': row.original.retired }"
            :data-row="row.id"
            :aria-selected="chosen === row.id"
            @click="chosen = row.id"
          >
            <td
              v-for="cell in row.getVisibleCells()"
              :key="cell.id"
              class="px-2 py-1.5"
              :class="{ 'figures text-right text-base font-semibold': numeric(cell.column.columnDef.meta) }"
            >
              <button v-if="cell.column.id === 'name'" type="button" class="text-left hover:underline">
                <FlexRender :render="cell.column.columnDef.cell" :props="cell.getContext()" />
              </button>
              <FlexRender v-else :render="cell.column.columnDef.cell" :props="cell.getContext()" />
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="table.getRowModel().rows.length === 0" class="p-3 text-sm text-ink-soft">
        No model matches.
      </p>
    </div>
  </div>
</template>
