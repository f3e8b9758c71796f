<script setup lang="ts">
/** Every reading of the last round: as it is now, and as it will be once all is turned as stated. */
const { alignment } = useTruing()
const { showThin, quantity } = useUnits()
const shown = (kind: string, value: number) => kind === 'roll' ? quantity(value, 'mm/m') : showThin(value)
const rows = computed(() =>
  (alignment.value?.predicted ?? []).map(({ reading: { kind, between, end, target }, before, after }) => ({
    id: `${kind} ${between.join(' ')} ${end ?? ''}`,
    subject: { kind: 'mark' as const, id: `${kind} ${between.join(' ')} ${end ?? ''}` },
    where: `${between.map(screen => screen.toUpperCase().replace('C', ' C')).join(' | ')}${end ? `, ${end}` : ''}`,
    what: kind === 'roll' ? 'level' : kind,
    target: shown(kind, target),
    before: shown(kind, before),
    after: shown(kind, after),
    off: Math.abs(after - target),
  })),
)
const columns = [
  { key: 'where', title: 'Seam', text: (row: (typeof rows.value)[number]) => row.where },
  { key: 'what', title: 'Reading', text: (row: (typeof rows.value)[number]) => row.what },
  { key: 'target', title: 'Target', text: (row: (typeof rows.value)[number]) => row.target, numeric: true },
  { key: 'before', title: 'Now', text: (row: (typeof rows.value)[number]) => row.before, numeric: true },
  { key: 'after', title: 'After', text: (row: (typeof rows.value)[number]) => row.after, numeric: true },
]
</script>

<template>
  <LedgerTable
    caption="Seams"
    :columns="columns"
    :rows="rows"
    :doubtful="row => row.off > (alignment?.target.tolerance ?? 0)"
  />
</template>
