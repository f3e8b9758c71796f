<script setup lang="ts" generic="Row extends { id: string, subject?: Subject }">
import type { Subject } from '~~/core/subject'
import type { LedgerColumn } from './column'

/** The rows of a ledger: each lights up with what it stands for. */
const { rows, columns } = defineProps<{ rows: Row[], columns: LedgerColumn<Row>[], doubtful?: (row: Row) => boolean }>()
const { hovered, selected, isLit, isSelected } = useSelection()
</script>

<template>
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
    <td
      v-for="column in columns"
      :key="column.key"
      class="px-3 py-1 max-md:whitespace-nowrap"
      :class="{ 'figures text-right text-base font-semibold': column.numeric }"
    >
      {{ column.text(row) }}
    </td>
  </tr>
</template>
