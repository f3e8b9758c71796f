<script setup lang="ts">
import { Plus, Trash2, Undo2 } from 'lucide-vue-next'
import { screenId, seamsOf } from '~~/core/arrange'
import { ORIENTATIONS, type Orientation } from '~~/core/job'
import { figure, words } from '~~/core/units'
import { screenLabel } from '~~/core/job/screenLabel'

/** One screen of the array: left out, of another model, hung another way, on another mount; and its seams. */
const { select, selectedOf } = useSelection()
const { array, arrangement, cell, edit } = useArray()
const { optionsOf, take } = useModelChoice()
const places = computed(() =>
  Array.from({ length: array.value!.rows }, (_, r) =>
    Array.from({ length: array.value!.columns }, (_, c) => ({
      row: r + 1,
      column: c + 1,
      id: screenId(array.value!, r + 1, c + 1),
    })),
  ),
)
/** A drawn key for each place is useful for walls that a hand can count. */
const FEW = 60
const few = computed(() => array.value!.rows * array.value!.columns <= FEW)
const hung = computed(() => new Set(arrangement.value?.cells.map(({ row, column }) => `${row} ${column}`)))
/** The place that is chosen, a screen or one that is left empty. */
const place = computed(() => places.value.flat().find(({ id }) => id === selectedOf('screen')))
const choice = computed(() =>
  array.value!.cells?.find(({ row, column }) => row === place.value?.row && column === place.value.column),
)
const set = (label: string, change: Parameters<typeof setCell>[3]) =>
  edit(label, array => setCell(array, place.value!.row, place.value!.column, change))
function chooseModel(kind: 'display' | 'mount', id: string) {
  if (id) take(kind, id)
  return set(kind === 'display' ? 'Screen display' : 'Screen mount', { [kind]: id || undefined })
}
const AS_ARRAY = { value: '', label: 'same as array' }
const reset = () =>
  edit('Reset screen to array', array =>
    setCell(array, place.value!.row, place.value!.column, {
      empty: undefined,
      display: undefined,
      orientation: undefined,
      mount: undefined,
    }),
  )
const seams = computed(() =>
  seamsOf(arrangement.value?.cells ?? []).filter(({ between }) =>
    between.some(({ row, column }) => row === place.value?.row && column === place.value.column),
  ),
)
const seamName = (seam: typeof seams.value[number]) => {
  const other = seam.between.find(({ row, column }) => row !== place.value!.row || column !== place.value!.column)!
  return `Seam to ${screenLabel(other)}`
}
function append() {
  const across = array.value!.rows === 1
  const [rows, columns] = across ? [1, array.value!.columns + 1] : [array.value!.rows + 1, 1]
  if (edit('Add screen', array => setGrid(array, rows, columns)).length === 0)
    select('screen', screenId(array.value!, rows, columns))
}
</script>

<template>
  <div v-if="array" class="space-y-2.5">
    <div
      v-if="few"
      class="grid gap-1"
      :style="{ gridTemplateColumns: `repeat(${array.columns}, minmax(0, 1fr))` }"
      role="group"
      aria-label="Screens"
    >
      <button
        v-for="one in places.flat()"
        :key="one.id"
        type="button"
        class="min-h-7 truncate rounded border text-xs"
        :class="[selectedOf('screen') === one.id ? 'border-flag bg-pine font-semibold text-on-pine'
          : hung.has(`${one.row} ${one.column}`) ? 'border-edge bg-paper'
            : 'border-dashed border-edge text-ink-soft']"
        :aria-pressed="selectedOf('screen') === one.id"
        :aria-label="`${screenLabel(one)}${hung.has(`${one.row} ${one.column}`) ? '' : ', empty'}`"
        @click="select('screen', one.id)"
      >
        {{ array.columns > 8 ? one.column : screenLabel(one) }}
      </button>
    </div>
    <p v-if="!place" class="text-sm text-ink-soft">
      Select a screen here, on the drawing, or with Ctrl and an arrow key. R rotates it; Esc returns to the whole array.
    </p>
    <template v-else>
      <h2 class="text-sm font-semibold">
        R{{ place.row }} C{{ place.column }}{{ choice ? ', individual settings' : '' }}
      </h2>
      <label class="flex min-h-8 items-center gap-2 text-sm"><input
        type="checkbox"
        class="size-5"
        :checked="choice?.empty === true"
        @change="set('Leave position empty', { empty: choice?.empty ? undefined : true })"
      > No screen here</label>
      <template v-if="!choice?.empty">
        <ChoiceField
          inline
          label="Display"
          :value="choice?.display ?? ''"
          :options="[AS_ARRAY, ...optionsOf('display', choice?.display)]"
          :commit="id => chooseModel('display', id)"
        />
        <ChoiceField
          inline
          label="Orientation"
          :value="choice?.orientation ?? ''"
          :options="[AS_ARRAY,
                     ...ORIENTATIONS.map(value => ({ value: value as string, label: ORIENTATION_NAMES[value] }))]"
          :commit="value => set('Rotate screen', { orientation: (value || undefined) as Orientation | undefined })"
        />
        <ChoiceField
          inline
          label="Mount"
          :value="choice?.mount ?? ''"
          :options="[AS_ARRAY, ...optionsOf('mount', choice?.mount)]"
          :commit="id => chooseModel('mount', id)"
        />
      </template>
      <button v-if="choice" type="button" class="press w-full" @click="reset">
        <Undo2 class="size-4" aria-hidden="true" /> Reset to array
      </button>
      <div v-if="cell" class="border-t border-hair">
        <FigureLine
          v-for="seam in seams"
          :key="seamName(seam)"
          :label="seamName(seam)"
          :figure="figure([{ label: 'Bezel seam',
                             expression: words`gap between cases ${seam.gap} + bezels ${seam.image - seam.gap}`,
                             value: seam.image,
                             unit: 'mm' }])"
        />
      </div>
    </template>
    <div v-if="array.rows === 1 || array.columns === 1" class="grid grid-cols-2 gap-2">
      <button type="button" class="press" @click="append">
        <Plus class="size-4" aria-hidden="true" /> Add at end
      </button>
      <button
        type="button"
        class="press"
        :disabled="array.rows * array.columns === 1"
        @click="edit('Delete last screen', array => array.rows === 1 ? setGrid(array, 1, array.columns - 1)
          : setGrid(array, array.rows - 1, 1))"
      >
        <Trash2 class="size-4" aria-hidden="true" /> Delete last
      </button>
    </div>
  </div>
</template>
