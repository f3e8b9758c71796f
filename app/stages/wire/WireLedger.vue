<script setup lang="ts">
import { itemName } from '~~/core/job'
import { scheduleOf, type ScheduleLine } from '~~/core/wire'

/** Below the drawing: in Schedule every cable, else every screen with what feeds it. */
const { plan } = useWallPlan()
const { panel } = useWire()
const { show } = useUnits()
const rows = computed(() => (plan.value?.wiring.loads ?? []).map(({ screen, label, power }) => {
  const { circuits = [], boxes = [] } = plan.value?.wiring ?? {}
  return {
    id: screen,
    subject: { kind: 'screen' as const, id: screen },
    label,
    power,
    circuit: circuits.find(({ screens }) => screens.includes(screen)),
    boxes: boxes.filter(box => box.for.includes(screen)),
  }
}))
type Row = typeof rows.value[number]
const columns = [
  { key: 'name', title: 'Screen', text: (row: Row) => row.label },
  {
    key: 'typical',
    title: 'Typical power (W)',
    text: (row: Row) => (row.power ? String(row.power.typical) : 'not known'),
    numeric: true,
  },
  {
    key: 'max',
    title: 'Max power (W)',
    text: (row: Row) => (row.power ? String(row.power.max) : 'not known'),
    numeric: true,
  },
  { key: 'circuit', title: 'Circuit', text: (row: Row) => row.circuit?.name ?? 'none' },
  {
    key: 'box',
    title: 'Boxes: centre along, up',
    text: (row: Row) =>
      row.boxes
        .map(box => (box.held ? `${itemName(box)} ${show(box.x)}, ${show(box.y)}` : `${itemName(box)} not placed`))
        .join('; ') || 'none',
  },
]
const schedule = computed(() => plan.value ? scheduleOf(plan.value.wiring) : [])
const cableColumns = [
  { key: 'number', title: 'No.', text: (line: ScheduleLine) => String(line.number), numeric: true },
  { key: 'kind', title: 'Type', text: (line: ScheduleLine) => line.kind },
  {
    key: 'from',
    title: 'From',
    text: (line: ScheduleLine) => `${line.from}${line.port === undefined ? '' : `, port ${line.port}`}`,
  },
  { key: 'to', title: 'To', text: (line: ScheduleLine) => line.to },
  { key: 'model', title: 'Cable', text: (line: ScheduleLine) => line.model },
  { key: 'needed', title: 'Required', text: (line: ScheduleLine) => show(line.needed), numeric: true },
  {
    key: 'taken',
    title: 'Stock length',
    text: (line: ScheduleLine) =>
      line.taken === undefined ? 'not known' : line.reel ? 'off the reel' : show(line.taken),
    numeric: true,
  },
  {
    key: 'left',
    title: 'Offcut',
    text: (line: ScheduleLine) => (line.offcut === undefined || line.reel ? '' : show(line.offcut)),
    numeric: true,
  },
]
</script>

<template>
  <LedgerTable
    v-if="panel === 'schedule'"
    caption="Cables in pulling order"
    :columns="cableColumns"
    :rows="schedule"
    :doubtful="line => line.open !== undefined"
  />
  <LedgerTable
    v-else
    caption="Screens and what feeds them"
    :columns="columns"
    :rows="rows"
    :doubtful="row => !row.circuit || row.boxes.some(({ held }) => !held)"
  />
</template>
