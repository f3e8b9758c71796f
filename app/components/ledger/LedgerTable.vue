<script setup lang="ts" generic="Row extends { id: string, subject?: Subject }">
import type { Subject } from '~~/core/subject'

/** A list below the drawing: figures in columns, and a row that lights up with what it stands for. */
const { rows, columns, caption } = defineProps<{
  caption: string
  columns: { key: string, title: string, text: (row: Row) => string, numeric?: boolean }[]
  rows: Row[]
  doubtful?: (row: Row) => boolean
}>()
const { hovered, selected, isLit, isSelected } = useSelection()
</script>

<template>
  <table class="w-full border-collapse text-sm">
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
      <tr
        v-for="row in rows"
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
    </tbody>
  </table>
</template>
