<script setup lang="ts">
import { Check, X } from 'lucide-vue-next'
import Papa from 'papaparse'
import { cellFromCsv } from '~~/core/csv'
import {
  judgeModelRows, judgeModels, KINDS, modelColumns, SHELVES, type Model, type ModelKind, type ModelRow,
  type ModelVerdict,
} from '~~/core/catalogue'

/** A file of models before it is taken in: what each would add, change or be refused for. */
const { kind, file, kept } = defineProps<{ kind: ModelKind, file: File, kept: Model[] }>()
const emit = defineEmits<{ take: [models: Model[]], leave: [] }>()
const { system } = useUnits()
const verdicts = shallowRef<ModelVerdict[]>([])
const fault = ref('')

function readTable(text: string) {
  const { data, meta } = Papa.parse<ModelRow>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: head => head.trim(),
    transform: cellFromCsv,
  })
  if (!meta.fields?.includes('id'))
    throw new Error(
      `The first line must name the columns and include “id”. Known columns: ${modelColumns(kind).join(', ')}.`,
    )
  return judgeModelRows(kind, data, kept, system.value)
}
function readFile(text: string) {
  const given = JSON.parse(text) as Record<string, unknown> | unknown[] | null
  const lists = Array.isArray(given)
    ? given
    : (given?.[SHELVES[kind]] ?? (given?.catalogue as Record<string, unknown> | undefined)?.[SHELVES[kind]])
  if (!Array.isArray(lists))
    throw new Error(
      `The file has no list of ${KINDS[kind].names.toLowerCase()}. A JSON file needs “${SHELVES[kind]}”, `
      + 'as in the catalogue of a job file.',
    )
  return judgeModels(kind, lists, kept)
}
watch(() => file, async () => {
  fault.value = ''
  verdicts.value = []
  try {
    if (file.size > 5 * 1024 * 1024) throw new Error('The file is over 5 MB, the limit for an import.')
    const text = await file.text()
    verdicts.value = /^\s*[[{]/.test(text) ? readFile(text) : readTable(text)
  }
  catch (error) {
    fault.value = (error as Error).message
  }
}, { immediate: true })
const good = computed(() => verdicts.value.filter(({ becomes }) => becomes === 'added' || becomes === 'changed'))
const counts = computed(() =>
  (['added', 'changed', 'same', 'refused'] as const)
    .map(becomes => ({ becomes, count: verdicts.value.filter(verdict => verdict.becomes === becomes).length }))
    .filter(({ count }) => count > 0),
)
</script>

<template>
  <section class="flex h-full flex-col" aria-label="Model import" data-testid="model-import">
    <h2 class="text-lg font-bold">
      {{ file.name }}
    </h2>
    <p class="text-sm text-ink-soft">
      {{ counts.map(({ becomes, count }) => `${count} ${VERDICT_WORDS[becomes]}`).join(', ') || 'No rows.' }} Changes to
      a model in use are saved as a new revision.
    </p>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <VerdictTable
      class="mt-3"
      :what="KINDS[kind].name"
      :rows="verdicts.map(({ name, ...verdict }) => ({ ...verdict, text: name }))"
    />
    <div class="mt-3 flex gap-2">
      <button
        type="button"
        class="press press-first"
        :disabled="good.length === 0"
        @click="emit('take', good.map(({ model }) => model!))"
      >
        <Check class="size-4" aria-hidden="true" /> Import {{ good.length }} {{ good.length === 1 ? 'row' : 'rows' }}
      </button>
      <button type="button" class="press" @click="emit('leave')">
        <X class="size-4" aria-hidden="true" /> Cancel
      </button>
    </div>
  </section>
</template>
