<script setup lang="ts">
import { screenLabel } from '~~/core/job/screenLabel'
/** Every screen: its case on the wall. */
const { plan } = useWallPlan()
const { show } = useUnits()
const rows = computed(() =>
  (plan.value?.arrays ?? []).flatMap(({ name, positions }) =>
    positions.map(position => ({ ...position, subject: { kind: 'screen' as const, id: position.id }, array: name })),
  ),
)
type Row = typeof rows.value[number]
const columns = [
  { key: 'name', title: 'Screen', text: (row: Row) => `${row.array} ${screenLabel(row)}` },
  { key: 'x', title: 'Left edge', text: (row: Row) => show(row.outer.x), numeric: true },
  { key: 'y', title: 'Bottom edge', text: (row: Row) => show(row.outer.y), numeric: true },
  { key: 'w', title: 'Case width', text: (row: Row) => show(row.outer.width), numeric: true },
  { key: 'h', title: 'Case height', text: (row: Row) => show(row.outer.height), numeric: true },
]
</script>

<template>
  <LedgerTable caption="Screens" :columns="columns" :rows="rows" />
</template>
