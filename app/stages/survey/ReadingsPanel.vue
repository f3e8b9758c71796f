<script setup lang="ts">
import { Download, Upload } from 'lucide-vue-next'
import { itemName, structureKindOf, type Evidence } from '~~/core/job'
import { coursingFigure, isFramed } from '~~/core/survey'

/** What the instruments told: typed, pointed, measured, brought in; and what is chosen on the drawing. */
const store = useWallStore()
const { plan } = useWallPlan()
const { selected, select: choose, selectedOf, clear } = useSelection()
const { tool, height, behind, importing } = useSurveyTool()
const wall = computed(() => store.wall!)
const framed = computed(() => isFramed(wall.value))
const known = computed(() => (wall.value.structure.members?.length ?? 0) > 0 || asKnown.value)
/** Chosen before the first known member is entered. */
const asKnown = ref(false)
function setKnown(choice: string) {
  asKnown.value = choice === 'known'
  const faults = store.edit(choice === 'known' ? 'Use known framing' : 'Use readings', wall =>
    setFramingKnown(wall, choice === 'known', plan.value?.members ?? []),
  )
  tool.value = undefined
  return faults
}
const member = computed(() => {
  const index = plan.value?.members.findIndex(({ id }) => id === selectedOf('member')) ?? -1
  return index >= 0 ? index : undefined
})
const reading = computed(() => wall.value.evidence?.find(({ id }) => id === selectedOf('reading')))
const chosen = computed(() => reading.value !== undefined || (member.value !== undefined && !known.value))
const references = computed(() =>
  (wall.value.references ?? []).map(reference => ({ value: reference.id, label: `rear, by ${itemName(reference)}` })),
)

function setHeight(mm: number) {
  if (mm < 0 || mm > wall.value.height) return [{ path: '$', message: 'must be within the wall' }]
  height.value = mm
  return []
}

interface Pick { label: string, method: Evidence['method'], answer?: Partial<Evidence> }
const PICKS: Pick[] = [
  { label: 'Left edge', method: 'detector-edge', answer: { edge: 'left' } },
  { label: 'Right edge', method: 'detector-edge', answer: { edge: 'right' } },
  { label: 'Detector centre', method: 'detector-centre' },
  { label: 'Magnet', method: 'magnet' },
  { label: 'Probe hit', method: 'probe', answer: { hit: true } },
  { label: 'Probe miss', method: 'probe', answer: { hit: false } },
  { label: 'Pilot hit', method: 'pilot', answer: { hit: true } },
  { label: 'Pilot miss', method: 'pilot', answer: { hit: false } },
  { label: 'Knock dull', method: 'knock', answer: { dull: true } },
  { label: 'Knock hollow', method: 'knock', answer: { dull: false } },
  { label: 'Seen', method: 'seen' },
  { label: 'Beside outlet box', method: 'outlet' },
]
const JOINTS: Pick[] = [
  { label: 'Head joint', method: 'joint', answer: { direction: 'head' } },
  { label: 'Bed joint', method: 'joint', answer: { direction: 'bed' } },
]
const picks = computed(() => structureKindOf(wall.value.structure).units ? [...JOINTS, ...PICKS] : PICKS)
const picked = computed(() => {
  const now = tool.value
  return now?.enters === 'reading'
    ? picks.value.findIndex(
        ({ method, answer }) => method === now.method && JSON.stringify(answer) === JSON.stringify(now.answer),
      )
    : -1
})
function pick(index: number) {
  const { method, answer } = picks.value[index] ?? picks.value[0]!
  tool.value = index < 0 ? undefined : { enters: 'reading', method, ...answer && { answer } }
}
const knownMembers = useTemplateRef<{ addAt: (centres: number[]) => unknown }>('known')
const quick = useTemplateRef<{ focus: () => void }>('quick')
defineExpose({ addAt: (centres: number[]) => knownMembers.value?.addAt(centres) })

const select = (by: number) => {
  const count = plan.value?.members.length ?? 0
  if (count > 0)
    choose('member', plan.value!.members[((member.value ?? (by > 0 ? -1 : count)) + by + count) % count]!.id)
}
useCommands([
  {
    id: 'survey-quick',
    title: 'Enter readings in one line',
    group: 'Survey',
    keys: ['q'],
    when: () => !known.value,
    run: () => quick.value?.focus(),
  },
  {
    id: 'survey-point',
    title: 'Point on wall',
    group: 'Survey',
    keys: ['p'],
    run: () => {
      tool.value = tool.value ? undefined : known.value ? { enters: 'member' } : { enters: 'reading', method: 'magnet' }
    },
  },
  {
    id: 'survey-entering',
    title: 'Back to entry',
    group: 'Survey',
    keys: ['escape'],
    when: () => selected.value !== undefined,
    run: clear,
  },
  { id: 'survey-next', title: 'Next stud', group: 'Survey', keys: ['arrowright'], run: () => select(1) },
  { id: 'survey-back', title: 'Previous stud', group: 'Survey', keys: ['arrowleft'], run: () => select(-1) },
])
const importFile = (event: Event) => {
  const input = event.target as HTMLInputElement
  importing.value = input.files?.[0]
  input.value = ''
}
</script>

<template>
  <div class="space-y-2.5">
    <ChoiceField
      v-if="framed"
      inline
      label="Framing"
      :value="known ? 'known' : 'readings'"
      :options="[{ value: 'readings', label: 'from readings' }, { value: 'known', label: 'known, as entered' }]"
      :commit="setKnown"
    />
    <template v-if="framed && known">
      <KnownMembers ref="known" />
      <button
        type="button"
        class="press w-full"
        :aria-pressed="tool?.enters === 'member'"
        :class="{ 'press-first': tool?.enters === 'member' }"
        @click="tool = tool ? undefined : { enters: 'member' }"
      >
        {{ tool ? 'Click on the wall' : 'Point on wall' }}
      </button>
    </template>
    <template v-else>
      <ProbeCard v-if="framed && !chosen" />
      <div v-if="plan?.coursing && !chosen">
        <FigureLine label="Head joint at" :figure="coursingFigure(plan.coursing, 'x')" />
        <FigureLine label="Bed joint at" :figure="coursingFigure(plan.coursing, 'y')" />
      </div>
      <QuickLine ref="quick" />
      <template v-if="!chosen">
        <div class="grid grid-cols-2 gap-2">
          <LengthField label="Reading height" :value="height" :actions="{ commit: setHeight }" />
          <ChoiceField
            label="Side"
            :value="behind"
            :options="[{ value: '', label: 'front' }, ...references]"
            :commit="(value) => { behind = value; return [] }"
          />
        </div>
        <ChoiceField
          inline
          label="Point on wall"
          :value="String(picked)"
          :options="[{ value: '-1', label: 'off' }, ...picks.map(({ label }, n) => ({ value: String(n), label }))]"
          :commit="(value) => { pick(Number(value)); return [] }"
        />
        <InstrumentBar />
        <div class="flex gap-2 border-t border-hair pt-2">
          <label class="press flex-1 cursor-pointer focus-within:outline-3 focus-within:outline-focus">
            <Upload class="size-4" aria-hidden="true" /> Import CSV
            <input type="file" class="sr-only" accept=".csv,text/csv" data-testid="evidence-csv" @change="importFile">
          </label>
          <a class="press flex-1" :href="`/api/sites/${store.site}/walls/${store.id}/evidence`" download>
            <Download class="size-4" aria-hidden="true" /> Export CSV
          </a>
        </div>
        <p class="text-xs text-ink-soft">
          Detect live cables before making a hole. Old linings may contain asbestos or lead.
        </p>
      </template>
      <template v-else>
        <ReadingCard v-if="reading" :id="reading.id" />
        <MemberCard v-else-if="member !== undefined" :index="member" />
        <button type="button" class="press w-full" @click="clear">
          Back to entry
        </button>
      </template>
    </template>
  </div>
</template>
