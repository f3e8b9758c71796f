<script setup lang="ts" generic="Row extends { id: string, subject?: Subject }">
import type { Subject } from '~~/core/subject'
import type { LedgerColumn } from './column'

/** A list below the drawing: figures in columns, and a row that lights up with what it stands for. */
const { rows, columns, caption } = defineProps<{
  caption: string
  columns: LedgerColumn<Row>[]
  rows: Row[]
  doubtful?: (row: Row) => boolean
}>()

/** Lists longer than this are drawn as far as they are in sight. */
const LONG = 200
const table = useTemplateRef<HTMLTableElement>('table')
const scroller = computed(() => table.value?.closest<HTMLElement>('[data-scrolls]') ?? null)
</script>

<template>
  <table ref="table" class="w-full border-collapse text-sm" :aria-rowcount="rows.length + 1">
    <caption class="sr-only">
      {{ caption }}
    </caption>
    <thead class="sticky top-0 z-10 bg-plaster">
      <tr class="text-left text-xs text-ink-soft">
        <th
          v-for="column in columns"
          :key="column.key"
          scope="col"
          class="px-3 py-1.5 font-medium max-md:whitespace-nowrap"
          :class="{ 'text-right': column.numeric }"
        >
          {{ column.title }}
        </th>
      </tr>
    </thead>
    <tbody>
      <LedgerRows v-if="rows.length <= LONG" :rows="rows" :columns="columns" :doubtful="doubtful" />
      <LazyLedgerLongRows v-else :rows="rows" :columns="columns" :doubtful="doubtful" :scroller="scroller" />
    </tbody>
  </table>
</template>
