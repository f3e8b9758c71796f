<script setup lang="ts">
import { RESULT_NAMES } from '~~/core/log'
import { subjectOf } from '~~/core/mark'
import { keyOf } from '~~/core/subject'
import { tableOf, TABLE_HEADS, type TableRow } from '~~/core/mark/sheet'

/** The marks as they are printed: every figure from the datum, the floor and the level line. */
const { every = false } = defineProps<{
  /** Whether all marks are listed, and not only the holes. */
  every?: boolean
}>()
const { plan, drilled, built, findings } = useWallPlan()
const { system, precision } = useUnits()
const marks = computed(() => (plan.value?.marking.marks ?? []).filter(({ kind }) => every || kind === 'hole'))
const rows = computed(() =>
  tableOf(marks.value, system.value, precision.value, plan.value?.piece).map((row, n) => ({
    ...row,
    subject: subjectOf(marks.value[n]!),
  })),
)
function resultOf(id: string) {
  const result = drilled.value.get(id)?.result
  if (built.value.disputed.some(({ hole }) => hole === id)) return 'disputed'
  return result ? RESULT_NAMES[result] : ''
}
const stopped = computed(
  () => new Set(findings.value.filter(({ severity }) => severity === 'stop').map(({ subject }) => keyOf(subject))),
)
const columns = [
  ...(Object.keys(TABLE_HEADS) as (keyof typeof TABLE_HEADS)[]).map(key => ({
    key,
    title: TABLE_HEADS[key],
    text: (row: TableRow) => row[key],
    numeric: key === 'running' || key === 'height' || key === 'fromLevel',
  })),
  { key: 'made', title: 'Result', text: (row: TableRow) => resultOf(row.id) },
]
</script>

<template>
  <LedgerTable caption="Marks" :columns="columns" :rows="rows" :doubtful="row => stopped.has(keyOf(row.subject))" />
</template>
