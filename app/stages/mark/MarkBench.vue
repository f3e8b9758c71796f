<script setup lang="ts">
import { Download } from 'lucide-vue-next'
import { accuracyOf, howTrue } from '~~/core/mark'
import { chosenFigure } from '~~/core/rules'
import { PAPERS, type PaperName } from '~~/core/sheet'
import { parseLength, toleranceToString } from '~~/core/units'

/** Mark: where dimensions run from, the level line, and the sheet as files. */
const { paper, preview } = useSheetView()
const store = useWallStore()
const { plan } = useWallPlan()
const { system, precision, show, suffix } = useUnits()
const { fine } = usePreferences()
const marking = computed(() => plan.value?.marking)
const accuracy = computed(() => accuracyOf(marking.value?.marks ?? [], system.value, precision.value, chosenFigure('markingSigma', store.rules, system.value)))
const address = (format: string) => `/api/sites/${store.site}/walls/${store.id}/sheet?format=${format}&paper=${paper.value}&units=${system.value}&fine=${fine.value ? 1 : 0}`

const datumActions: FieldActions<number> = {
  tryOut: mm => store.tryOut((wall) => { wall.datum = { label: wall.datum?.label ?? 'datum', x: mm } }),
  commit: mm => store.edit('Datum', (wall) => { wall.datum = { label: wall.datum?.label ?? 'datum', x: mm } }),
}
const labelActions: FieldActions<string> = {
  commit: label => store.edit('What the datum is', (wall) => { wall.datum = { x: wall.datum?.x ?? 0, label } }),
}
function readLevel(text: string): Read<number | undefined> {
  if (text.trim() === '') return { ok: true, value: undefined }
  const reading = parseLength(text, system.value)
  return reading.ok ? { ok: true, value: reading.mm } : reading
}
const levelActions: FieldActions<number | undefined> = {
  commit: mm => store.edit('Level line', (wall) => {
    if (mm === undefined) delete wall.levelLine
    else wall.levelLine = mm
  }),
}
const tolerance = (mm: number) => toleranceToString(mm, system.value)
const holes = computed(() => marking.value?.marks.filter(({ kind }) => kind === 'hole').length ?? 0)
const PAPER_CHOICE = Object.values(PAPERS).map(({ name, title }) => ({ value: name, label: title }))
const choosePaper = (name: string) => {
  paper.value = name as PaperName
  return []
}
useCommands([
  { id: 'sheet-preview', title: 'See the printed sheet', group: 'Mark', keys: ['v'], run: () => { preview.value = !preview.value } },
  { id: 'sheet-fine', title: 'Finer or coarser figures', group: 'Mark', keys: ['f'], run: () => { fine.value = !fine.value } },
])
</script>

<template>
  <BenchFrame stage="mark" title="Mark" :summary="`${holes} holes, ${marking?.marks.length ?? 0} marks in all`">
    <div class="grid grid-cols-2 gap-3">
      <LengthField label="Datum, from left end" :value="marking?.datum.x" :actions="datumActions" />
      <TextField label="What is there" :value="marking?.datum.label ?? ''" :actions="labelActions" />
    </div>
    <TypedField
      label="Level line above the floor"
      :shown="marking?.levelLine ? `${show(marking.levelLine.y)}` : ''"
      :read="readLevel"
      :actions="levelActions"
      :hint="marking?.levelLine ? `${marking.levelLine.label.charAt(0).toUpperCase()}${marking.levelLine.label.slice(1)}. Empty it to follow the house rule.` : 'No array yet, so there is no level line.'"
    />
    <p v-if="marking?.levelLine?.turn" class="text-sm font-semibold text-caution" data-testid="turned">
      It runs with a line of the building, {{ marking.levelLine.turn.slope }} mm/m up to the right. Strike it by its two heights, and measure square to it.
    </p>
    <label class="flex items-center gap-2 text-sm">
      <input v-model="fine" type="checkbox" class="size-5 accent-[var(--color-pine)]"> Finer figures: {{ system === 'metric' ? '0.1 mm' : '1/32 in' }}
    </label>
    <p class="text-sm text-ink-soft" data-testid="accuracy">
      Each figure is rounded once, at most {{ tolerance(accuracy.rounding) }} off, the level line’s own rounding included. {{ howTrue(accuracy, store.rules, system) }}
    </p>
    <div class="border-t border-hair pt-3">
      <ChoiceField label="Paper" :value="paper" :options="PAPER_CHOICE" :commit="choosePaper" />
      <button type="button" class="press mt-2 w-full" :aria-pressed="preview" @click="preview = !preview">
        {{ preview ? 'Back to the drawing' : 'See the printed sheet' }}
      </button>
      <p v-if="store.unsaved" class="field-fault">
        The files show the wall as last saved. Some changes are not saved yet.
      </p>
      <div class="mt-2 grid grid-cols-3 gap-2">
        <a v-for="format in ['pdf', 'svg', 'dxf', 'csv', 'json']" :key="format" class="press" :href="address(format)" download>
          <Download class="size-4" aria-hidden="true" /> {{ format.toUpperCase() }}
        </a>
      </div>
      <p class="mt-2 text-xs text-ink-soft">
        Print at 100 %, then check the bar on the sheet with a tape{{ suffix ? '' : ' (4 in)' }}.
      </p>
    </div>
  </BenchFrame>
</template>
