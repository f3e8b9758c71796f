<script setup lang="ts" generic="Row extends { id: string, subject?: Subject }">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { isSame, type Subject } from '~~/core/subject'
import type { LedgerColumn } from './column'

/** The rows of a long ledger, drawn as far as they are in sight. */
const { rows, columns, scroller } = defineProps<{
  rows: Row[]
  columns: LedgerColumn<Row>[]
  doubtful?: (row: Row) => boolean
  scroller: HTMLElement | null
}>()
const { selected } = useSelection()
const virtualizer = useVirtualizer(
  computed(() => ({ count: rows.length, getScrollElement: () => scroller, estimateSize: () => 33, overscan: 25 })),
)
const inSight = computed(() => virtualizer.value.getVirtualItems())
/** Room for the rows above and below those in sight, px. */
const above = computed(() => inSight.value[0]?.start ?? 0)
const below = computed(() =>
  inSight.value.length > 0 ? virtualizer.value.getTotalSize() - inSight.value.at(-1)!.end : 0,
)
// What is chosen on the drawing comes into sight.
watch(selected, (subject) => {
  const index = rows.findIndex(row => isSame(row.subject, subject))
  if (index >= 0) virtualizer.value.scrollToIndex(index)
})
</script>

<template>
  <tr v-if="above > 0" aria-hidden="true" :style="{ height: `${above}px` }" />
  <LedgerRows :rows="inSight.map(({ index }) => rows[index]!)" :columns="columns" :doubtful="doubtful" />
  <tr v-if="below > 0" aria-hidden="true" :style="{ height: `${below}px` }" />
</template>
