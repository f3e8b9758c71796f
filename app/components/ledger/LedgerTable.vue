<script setup lang="ts" generic="Row extends { id: string, subject?: Subject }">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { isSame, type Subject } from '~~/core/subject'

/** A list below the drawing: figures in columns, and a row that lights up with what it stands for. */
const { rows, columns, caption } = defineProps<{
  caption: string
  columns: { key: string, title: string, text: (row: Row) => string, numeric?: boolean }[]
  rows: Row[]
  doubtful?: (row: Row) => boolean
}>()
const { hovered, selected, isLit, isSelected } = useSelection()

/** Lists longer than this are drawn as far as they are in sight. */
const LONG = 200
const table = useTemplateRef<HTMLTableElement>('table')
const scroller = computed(() => table.value?.closest<HTMLElement>('[data-scrolls]') ?? null)
const virtualizer = useVirtualizer(computed(() => ({ count: rows.length > LONG ? rows.length : 0, getScrollElement: () => scroller.value, estimateSize: () => 33, overscan: 25 })))
const inSight = computed(() => virtualizer.value.getVirtualItems())
const shown = computed(() => rows.length > LONG ? inSight.value.map(({ index }) => rows[index]!) : rows)
/** Room for the rows above and below those in sight, px. */
const above = computed(() => inSight.value[0]?.start ?? 0)
const below = computed(() => inSight.value.length > 0 ? virtualizer.value.getTotalSize() - inSight.value.at(-1)!.end : 0)
// What is chosen on the drawing comes into sight.
watch(selected, (subject) => {
  const index = rows.findIndex(row => isSame(row.subject, subject))
  if (rows.length > LONG && index >= 0) virtualizer.value.scrollToIndex(index)
})
</script>

<template>
  <table ref="table" class="w-full border-collapse text-sm" :aria-rowcount="rows.length + 1">
    <caption class="sr-only">
      {{ caption }}
    </caption>
    <thead class="sticky top-0 z-10 bg-plaster">
      <tr class="text-left text-xs text-ink-soft">
        <th v-for="column in columns" :key="column.key" scope="col" class="px-3 py-1.5 font-medium" :class="{ 'text-right': column.numeric }">
          {{ column.title }}
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-if="above > 0" aria-hidden="true" :style="{ height: `${above}px` }" />
      <tr
        v-for="row in shown"
        :key="row.id"
        class="cursor-pointer border-t border-hair"
        :class="[
          doubtful?.(row) ? 'bg-stop-wash' : '',
          isLit(row.subject) ? 'outline-2 -outline-offset-2 outline-flag' : '',
        ]"
        :data-row="row.id"
        :aria-selected="isSelected(row.subject)"
        @pointerenter="hovered = row.subject"
        @pointerleave="hovered = undefined"
        @click="selected = row.subject"
      >
        <td v-for="column in columns" :key="column.key" class="px-3 py-1" :class="{ 'figures text-right text-base font-semibold': column.numeric }">
          {{ column.text(row) }}
        </td>
      </tr>
      <tr v-if="below > 0" aria-hidden="true" :style="{ height: `${below}px` }" />
    </tbody>
  </table>
</template>
