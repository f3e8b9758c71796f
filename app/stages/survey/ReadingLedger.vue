<script setup lang="ts">
import { namesOn, type Evidence } from '~~/core/job'
import { METHOD_NAMES, signsOf } from '~~/core/survey'

/** Every reading as it was entered, with whose it is and what it is of. */
const store = useWallStore()
const { piece, Piece } = usePiece()
const { plan, planned } = useWallPlan()
const { show } = useUnits()
/** What the tool answered, where it was not just a place. */
function answerOf({ edge, hit, dull, direction }: Evidence): string {
  const struck = hit === undefined ? '' : hit ? 'hit' : 'miss'
  const sounded = dull === undefined ? '' : dull ? 'dull' : 'hollow'
  return [edge, struck, sounded, direction].filter(Boolean).join(' ')
}
function whatItIsOf({ id, setAside }: Evidence): string {
  if (setAside !== undefined) return 'excluded'
  if (plan.value?.unexplained.includes(id)) return `no ${piece.value}`
  const member = plan.value?.members.findIndex(({ evidence }) => evidence.includes(id)) ?? -1
  return member >= 0 ? `${piece.value} ${member + 1}` : ''
}
const rows = computed(() => {
  const wall = planned.value ?? store.shown
  if (!wall) return []
  const names = namesOn(wall)
  const onFront = new Map(signsOf(wall).map(({ reading, x }) => [reading.id, x]))
  return (wall.evidence ?? []).map((reading) => {
    const answer = answerOf(reading)
    return {
      id: reading.id,
      subject: { kind: 'reading' as const, id: reading.id },
      method: `${METHOD_NAMES[reading.method].replace(/^an? /, '')}${answer ? `, ${answer}` : ''}`,
      x: onFront.get(reading.id) ?? reading.x,
      y: reading.y,
      side: reading.side === 'back' ? `rear, ${reading.reference ? names(reading.reference) : '?'}` : 'front',
      by: reading.by ?? '',
      of: whatItIsOf(reading),
    }
  })
})
type Row = typeof rows.value[number]
const columns = computed(() => [
  { key: 'id', title: 'Reading', text: (row: Row) => row.id },
  { key: 'method', title: 'Method', text: (row: Row) => row.method },
  { key: 'x', title: 'Position at front', text: (row: Row) => show(row.x), numeric: true },
  { key: 'y', title: 'Height', text: (row: Row) => show(row.y), numeric: true },
  { key: 'side', title: 'Side', text: (row: Row) => row.side },
  { key: 'of', title: Piece.value, text: (row: Row) => row.of },
  { key: 'who', title: 'Entered by', text: (row: Row) => row.by },
])
</script>

<template>
  <LedgerTable
    caption="Readings in order of entry"
    :columns="columns"
    :rows="rows"
    :doubtful="row => row.of === `no ${piece}`"
  />
</template>
