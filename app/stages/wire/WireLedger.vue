<script setup lang="ts">
/** Every screen that draws power: what, from which circuit, and where its box is. */
const { plan } = useWallPlan()
const { show } = useUnits()
const rows = computed(() => (plan.value?.wiring.loads ?? []).map(({ screen, label, power }) => {
  const { circuits = [], boxes = [] } = plan.value?.wiring ?? {}
  return {
    id: screen, subject: { kind: 'screen' as const, id: screen }, label, power,
    circuit: circuits.find(({ screens }) => screens.includes(screen)), box: boxes.find(box => box.for.includes(screen)),
  }
}))
type Row = typeof rows.value[number]
const columns = [
  { key: 'name', title: 'Screen', text: (row: Row) => row.label },
  { key: 'typical', title: 'W as a rule', text: (row: Row) => row.power ? String(row.power.typical) : 'not known', numeric: true },
  { key: 'max', title: 'W at most', text: (row: Row) => row.power ? String(row.power.max) : 'not known', numeric: true },
  { key: 'circuit', title: 'Circuit', text: (row: Row) => row.circuit?.name ?? 'none' },
  { key: 'box', title: 'Box', text: (row: Row) => row.box?.id ?? 'none' },
  { key: 'x', title: 'its middle along', text: (row: Row) => row.box?.held ? show(row.box.x) : '', numeric: true },
  { key: 'y', title: 'and up', text: (row: Row) => row.box?.held ? show(row.box.y) : '', numeric: true },
]
</script>

<template>
  <LedgerTable caption="Screens and what feeds them" :columns="columns" :rows="rows" :doubtful="row => !row.circuit || row.box?.held === false" />
</template>
