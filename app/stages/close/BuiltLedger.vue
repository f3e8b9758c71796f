<script setup lang="ts">
import { RESULT_NAMES } from '~~/core/log'

/** Every hole, middle and seam as planned and as made. */
const { compared } = useClose()
const { show, showFine, showThin, quantity } = useUnits()
const place = ({ x, y }: { x: number, y: number }) => `${show(x)}, ${show(y)}`
const reading = (reads: string, value: number) => reads === 'level' ? quantity(value, 'mm/m') : showThin(value)
interface Row {
  id: string
  subject?: { kind: 'hole' | 'screen', id: string }
  what: string
  planned: string
  made: string
  off: string
  open: boolean
}
const rows = computed<Row[]>(() => [
  ...(compared.value?.seams ?? []).map(({ label, reads, planned, made, off, closed }, n) => ({
    id: `seam ${n}`,
    what: `${label} ${reads}`,
    planned: reading(reads, planned),
    made: reading(reads, made),
    off: reading(reads, off),
    open: !closed,
  })),
  ...(compared.value?.holes ?? []).map(({ id, label, planned, made, off }) => ({
    id,
    subject: { kind: 'hole' as const, id },
    what: `Hole ${label}`,
    planned: place(planned),
    made: made ? `${place(made)}${made.result === 'hit' ? '' : `, ${RESULT_NAMES[made.result]}`}` : 'not recorded',
    off: off === undefined ? '' : showFine(off),
    open: made !== undefined && made.result !== 'hit',
  })),
  ...(compared.value?.centres ?? []).map(({ screen, label, planned, made, off }) => ({
    id: `centre ${screen}`,
    subject: { kind: 'screen' as const, id: screen },
    what: `Centre of ${label}`,
    planned: place(planned),
    made: made ? place(made) : 'not known',
    off: off === undefined ? '' : showFine(off),
    open: false,
  })),
])
const columns = [
  { key: 'what', title: 'Item', text: (row: Row) => row.what },
  { key: 'planned', title: 'Planned', text: (row: Row) => row.planned, numeric: true },
  { key: 'made', title: 'As built', text: (row: Row) => row.made, numeric: true },
  { key: 'off', title: 'Deviation', text: (row: Row) => row.off, numeric: true },
]
</script>

<template>
  <LedgerTable caption="As built against plan" :columns="columns" :rows="rows" :doubtful="row => row.open" />
</template>
