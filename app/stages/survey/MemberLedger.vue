<script setup lang="ts">
import { MEMBER_KIND_NAMES, MEMBER_SOURCE_NAMES } from '~~/core/survey'
import { plural } from '~~/core/units/plural'

/** Every member: running from the datum, its width, and the bay to the next one. */
const { plan } = useWallPlan()
const { piece, Piece } = usePiece()
const { show } = useUnits()
const rows = computed(() => {
  const members = plan.value?.members ?? []
  const datum = plan.value?.marking.datum.x ?? 0
  return members.map((member, index) => ({
    ...member,
    subject: { kind: 'member' as const, id: member.id },
    name: `${Piece.value} ${index + 1}`,
    running: member.centre - datum,
    bay: members[index + 1] ? members[index + 1]!.centre - member.centre : undefined,
  }))
})
type Row = typeof rows.value[number]
const columns = computed(() => [
  { key: 'name', title: Piece.value, text: (row: Row) => row.name },
  { key: 'running', title: 'Centre from datum', text: (row: Row) => show(row.running), numeric: true },
  { key: 'width', title: 'Width', text: (row: Row) => show(row.width), numeric: true },
  {
    key: 'bay',
    title: `To next ${piece.value}`,
    text: (row: Row) => (row.bay === undefined ? '' : show(row.bay)),
    numeric: true,
  },
  { key: 'sd', title: '± 95 %', text: (row: Row) => (row.sd === 0 ? 'known' : show(1.96 * row.sd)), numeric: true },
  {
    key: 'kind',
    title: 'Type',
    text: (row: Row) => `${MEMBER_KIND_NAMES[row.kind]}, ${MEMBER_SOURCE_NAMES[row.source]}`,
  },
  {
    key: 'proved',
    title: 'Status',
    text: (row: Row) =>
      row.proved
        ? 'confirmed'
        : `unconfirmed (${plural(row.evidence.length, 'reading')})`,
  },
])
</script>

<template>
  <LedgerTable :caption="`${Piece}s from left to right`" :columns="columns" :rows="rows" />
</template>
