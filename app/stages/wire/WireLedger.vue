<script setup lang="ts">
import { scheduleOf, type ScheduleLine } from '~~/core/wire'

/** Below the drawing: in Schedule every cable, else every screen with what feeds it. */
const { plan } = useWallPlan()
const { panel } = useWire()
const { show } = useUnits()
const rows = computed(() => (plan.value?.wiring.loads ?? []).map(({ screen, label, power }) => {
  const { circuits = [], boxes = [] } = plan.value?.wiring ?? {}
  return {
    id: screen, subject: { kind: 'screen' as const, id: screen }, label, power,
    circuit: circuits.find(({ screens }) => screens.includes(screen)), boxes: boxes.filter(box => box.for.includes(screen)),
  }
}))
type Row = typeof rows.value[number]
const columns = [
  { key: 'name', title: 'Screen', text: (row: Row) => row.label },
  { key: 'typical', title: 'W as a rule', text: (row: Row) => row.power ? String(row.power.typical) : 'not known', numeric: true },
  { key: 'max', title: 'W at most', text: (row: Row) => row.power ? String(row.power.max) : 'not known', numeric: true },
  { key: 'circuit', title: 'Circuit', text: (row: Row) => row.circuit?.name ?? 'none' },
  { key: 'box', title: 'Boxes: middle along, up', text: (row: Row) => row.boxes.map(box => box.held ? `${box.id} ${show(box.x)}, ${show(box.y)}` : `${box.id} no place`).join('; ') || 'none' },
]
const schedule = computed(() => plan.value ? scheduleOf(plan.value.wiring) : [])
const cableColumns = [
  { key: 'number', title: 'No.', text: (line: ScheduleLine) => String(line.number), numeric: true },
  { key: 'kind', title: 'Carries', text: (line: ScheduleLine) => line.kind },
  { key: 'from', title: 'From', text: (line: ScheduleLine) => `${line.from}${line.port === undefined ? '' : `, port ${line.port}`}` },
  { key: 'to', title: 'To', text: (line: ScheduleLine) => line.to },
  { key: 'model', title: 'Cable', text: (line: ScheduleLine) => line.model },
  { key: 'needed', title: 'Needed', text: (line: ScheduleLine) => show(line.needed), numeric: true },
  { key: 'taken', title: 'Take', text: (line: ScheduleLine) => line.taken === undefined ? 'not known' : line.reel ? 'from a reel' : show(line.taken), numeric: true },
  { key: 'left', title: 'Left over', text: (line: ScheduleLine) => line.offcut === undefined || line.reel ? '' : show(line.offcut), numeric: true },
]
</script>

<template>
  <LedgerTable v-if="panel === 'schedule'" caption="Cables, in the order in which they are pulled" :columns="cableColumns" :rows="schedule" :doubtful="line => line.open !== undefined" />
  <LedgerTable v-else caption="Screens and what feeds them" :columns="columns" :rows="rows" :doubtful="row => !row.circuit || row.boxes.some(({ held }) => !held)" />
</template>
