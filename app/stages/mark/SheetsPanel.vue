<script setup lang="ts">
import { authorText } from '~~/core/log/author'
import { Download } from 'lucide-vue-next'
import { EXPORTS, FORMATS } from '~~/core/formats'
import { PAPERS, type PaperName } from '~~/core/sheet'
import { parseScale } from '~~/core/sheet/parseScale'
import { screenLabel } from '~~/core/job/screenLabel'

/**
 * The sheets as files, on the paper and to the scale that is wanted: of the revision that was issued last, or a draft.
 */
const { paper, preview, scale, draft } = useSheetView()
const store = useWallStore()
const { plan } = useWallPlan()
const { system, suffix } = useUnits()
const { fine } = usePreferences()
const last = computed(() => store.revisions.at(-1))
const of = computed(() => draft.value || !last.value ? 'draft' : last.value.revision)
/** Whether the server has what is printed: a revision is there once its entry is. */
const isThere = computed(() => of.value === 'draft' || store.log.some(({ id }) => id === last.value?.entry))
const base = computed(() => `/api/sites/${store.site}/walls/${store.id}`)
const query = (format: string, more: Record<string, string | number> = {}) =>
  Object.entries({
    format,
    revision: of.value,
    paper: paper.value,
    units: system.value,
    fine: fine.value ? 1 : 0,
    ...more,
  })
    .map(([key, value]) => `${key}=${encodeURIComponent(value)}`)
    .join('&')
const sheet = (format: string) =>
  `${base.value}/sheet?${query(format, scale.value === undefined ? {} : { scale: scale.value })}`
const templates = (of: string) => `${base.value}/templates?${query('pdf', of === '' ? {} : { of })}`
const PAPER_CHOICE = Object.values(PAPERS).map(({ name, title }) => ({ value: name, label: title }))
const choosePaper = (name: string) => {
  paper.value = name as PaperName
  return []
}
const scaleActions: FieldActions<number | undefined> = { commit: (value) => {
  scale.value = value
  return []
} }
const template = ref('')
const parts = computed(() => [
  { value: '', label: 'all plates and cut-outs' },
  ...(plan.value?.arrays ?? []).flatMap(({ name, positions }) =>
    positions.flatMap(({ id, row, column, plate }) =>
      plate ? [{ value: id, label: `plate ${name} ${screenLabel({ row, column })}` }] : [],
    ),
  ),
  ...(plan.value?.wiring.boxes ?? [])
    .filter(({ held, kind }) => held && kind !== 'floor')
    .map(({ id }) => ({ value: id, label: `cut-out of box ${id}` })),
])
const chooseTemplate = (value: string) => {
  template.value = value
  return []
}
</script>

<template>
  <p class="text-sm" data-testid="sheets-of">
    <template v-if="of === 'draft'">
      <b>Draft.</b> {{ last ? 'The current plan' : 'Nothing is issued yet' }}: every page is marked DRAFT.
    </template>
    <template v-else>
      <b>Revision {{ of }}</b>, issued {{ whenOf(last!.at) }} by {{ authorText(last!) }}.
    </template>
  </p>
  <label v-if="last" class="flex items-center gap-2 text-sm">
    <input v-model="draft" type="checkbox" class="size-5"> Draft of the current plan
  </label>
  <div class="grid grid-cols-2 gap-3">
    <ChoiceField label="Paper" :value="paper" :options="PAPER_CHOICE" :commit="choosePaper" />
    <TypedField
      label="Drawing scale"
      :shown="scale === undefined ? 'fit to page' : `1:${scale}`"
      :read="parseScale"
      :actions="scaleActions"
      :numeric="false"
    />
  </div>
  <button type="button" class="press w-full" :aria-pressed="preview" @click="preview = !preview">
    {{ preview ? 'Back to the drawing' : 'Preview sheet' }}
  </button>
  <p v-if="store.unsaved && of === 'draft'" class="field-fault">
    The files show the last saved state. Some changes are not saved yet.
  </p>
  <p v-if="!isThere" class="text-sm" role="status" data-testid="sheet-waits">
    Revision {{ of }} is on its way to the server. Its files are here once the server has it; that needs a connection.
  </p>
  <div v-else class="grid grid-cols-3 gap-2">
    <a v-for="format in EXPORTS.sheet" :key="format" class="press" :href="sheet(format)" download>
      <Download class="size-4" aria-hidden="true" /> {{ FORMATS[format].name }}
    </a>
  </div>
  <p class="text-xs text-ink-soft">
    Print at 100 %, then check the scale bar with a tape{{ suffix ? '' : ' (4 in)' }}.
  </p>
  <div class="border-t border-hair pt-2">
    <ChoiceField label="1:1 template of" :value="template" :options="parts" :commit="chooseTemplate" />
    <a
      v-if="isThere"
      class="press mt-2 w-full"
      :href="templates(template)"
      download
      data-testid="template"
    ><Download class="size-4" aria-hidden="true" /> Download template PDF</a>
  </div>
</template>
