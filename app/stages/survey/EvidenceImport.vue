<script setup lang="ts">
import { Check, X } from 'lucide-vue-next'
import Papa from 'papaparse'
import { cellFromCsv } from '~~/core/csv'
import { madeIds } from '~~/core/job'
import { EVIDENCE_COLUMNS, judgeRows, mergeRows, type EvidenceRow, type RowVerdict } from '~~/core/survey'

/** A table of readings before it is taken in: what each row would add, change or be refused for. */
const { importing } = useSurveyTool()
const store = useWallStore()
const verdicts = shallowRef<(RowVerdict & { text: string })[]>([])
const fault = ref('')
watch(importing, async (file) => {
  fault.value = ''
  verdicts.value = []
  if (!file) return
  if (file.size > 5 * 1024 * 1024)
    return void (fault.value = 'The file is over 5 MB. Import the readings of one wall only.')
  const { data, meta } = Papa.parse<EvidenceRow>(await file.text(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: head => head.trim(),
    transform: cellFromCsv,
  })
  const missing = ['method', 'x', 'y'].filter(column => !meta.fields?.includes(column))
  if (missing.length > 0)
    return void (fault.value = `The first line must name the columns; missing: ${missing.join(', ')}. Known columns: `
      + `${EVIDENCE_COLUMNS.join(', ')}.`)
  const kept = store.wall!.evidence ?? []
  const ids = madeIds('e', kept, data.length)
  verdicts.value = judgeRows(data, kept, store.wall!.references ?? [], n => ids[n]!).map(verdict => ({
    ...verdict,
    text: EVIDENCE_COLUMNS.slice(1)
      .map(column => data[verdict.row - 1]![column])
      .filter(Boolean)
      .join(' '),
  }))
}, { immediate: true })
const counts = computed(() =>
  (['added', 'changed', 'same', 'refused'] as const)
    .map(becomes => ({ becomes, count: verdicts.value.filter(verdict => verdict.becomes === becomes).length }))
    .filter(({ count }) => count > 0),
)
const useful = computed(
  () => verdicts.value.filter(({ becomes }) => becomes === 'added' || becomes === 'changed').length,
)
function take() {
  const faults = store.edit('Import readings', (wall) => {
    wall.evidence = mergeRows(wall.evidence ?? [], verdicts.value)
  })
  fault.value = faultText(faults)
  if (faults.length === 0) importing.value = undefined
}
</script>

<template>
  <section class="flex h-full flex-col p-4" aria-label="Reading import" data-testid="evidence-import">
    <h2 class="text-lg font-bold">
      {{ importing?.name }}
    </h2>
    <p class="text-sm text-ink-soft">
      {{ counts.map(({ becomes, count }) => `${count} ${VERDICT_WORDS[becomes]}`).join(', ') || 'No rows.' }}
    </p>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <VerdictTable class="mt-3" what="Reading" :rows="verdicts" />
    <div class="mt-3 flex gap-2">
      <button type="button" class="press press-first" :disabled="useful === 0" @click="take">
        <Check class="size-4" aria-hidden="true" /> Import {{ useful }} {{ useful === 1 ? 'row' : 'rows' }}
      </button>
      <button type="button" class="press" @click="importing = undefined">
        <X class="size-4" aria-hidden="true" /> Cancel
      </button>
    </div>
  </section>
</template>
