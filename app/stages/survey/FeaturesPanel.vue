<script setup lang="ts">
import { Plus, X } from 'lucide-vue-next'
import { itemName, madeId, type Feature } from '~~/core/job'

/** What is on and in front of the wall, and the lines seen from both its sides. */
const store = useWallStore()
const { select, selectedOf } = useSelection()
const { tool } = useSurveyTool()
const wall = computed(() => store.wall!)
const feature = computed(() => wall.value.features?.find(({ id }) => id === selectedOf('feature')))
const set = (label: string, recipe: (feature: Feature) => void) =>
  store.edit(label, wall => recipe(wall.features!.find(({ id }) => id === feature.value!.id)!))
const { unitOf, typed, readIn } = useUnits()
const readSlope = computed(() => readIn('mm/m', () => true))
const slopeActions: FieldActions<number | undefined> = {
  commit: slope => set('Slope of line', (feature) => {
    if (slope === undefined) delete feature.slope
    else feature.slope = slope
  }),
}
/** What runs through a wall, straight or slanted, as it was detected. */
const RUNS = new Set(['live-cable', 'cable-run', 'pipe'])
const SLANTS = [
  { value: 'straight', label: 'straight, as wide as entered' },
  { value: 'rising', label: 'slanted, rising to the right' },
  { value: 'falling', label: 'slanted, falling to the right' },
]
function slantAs(feature: Feature, way: string) {
  if (way === 'straight') delete feature.slant
  else feature.slant = way as NonNullable<Feature['slant']>
}
const drawing = computed(() => tool.value?.enters === 'feature' ? tool.value.kind : '')
const fault = ref('')
function addTyped(kind: string) {
  const usual = FEATURE_KINDS.find(feature => feature.kind === kind)!
  const faults = store.edit(`Add feature: ${usual.name}`, (wall) => {
    select(
      'feature',
      addFeature(wall, kind, {
        x: Math.round((wall.width - usual.width) / 2),
        y: kind === 'ceiling-line' ? wall.height - usual.height : 0,
        width: usual.width,
        height: usual.height,
      }),
    )
  })
  fault.value = faultText(faults)
}
const kind = ref('outlet')
const addReference = () => store.edit('Add reference', (wall) => {
  wall.references = [
    ...(wall.references ?? []),
    { id: madeId('r', wall.references), front: Math.round(wall.width / 2), back: Math.round(wall.width / 2) },
  ]
})
const usedBy = (reference: string) => (wall.value.evidence ?? []).some(reading => reading.reference === reference)
function toggleReachable(feature: Feature) {
  if (feature.keepReachable) delete feature.keepReachable
  else feature.keepReachable = true
}
const deleteSelected = () => store.edit('Delete feature', (wall) => {
  wall.features = wall.features?.filter(({ id }) => id !== selectedOf('feature'))
})
</script>

<template>
  <div class="space-y-2.5">
    <ChoiceField
      label="Feature"
      :value="kind"
      :options="FEATURE_KINDS.map(({ kind, name }) => ({ value: kind, label: name }))"
      :commit="value => { kind = value; if (drawing) tool = { enters: 'feature', kind: value }; return [] }"
    />
    <div class="grid grid-cols-2 gap-2">
      <button
        type="button"
        class="press"
        :class="{ 'press-first': drawing }"
        :aria-pressed="drawing !== ''"
        @click="tool = drawing ? undefined : { enters: 'feature', kind }"
      >
        {{ drawing ? 'Drag on the wall' : 'Draw' }}
      </button>
      <button type="button" class="press" @click="addTyped(kind)">
        <Plus class="size-4" aria-hidden="true" /> Add
      </button>
    </div>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <ul class="max-h-44 overflow-y-auto text-sm" aria-label="Features" tabindex="0">
      <li v-for="item in wall.features" :key="item.id">
        <button
          type="button"
          class="flex w-full justify-between border-b border-hair py-1 text-left"
          :class="{ 'font-semibold': item.id === selectedOf('feature') }"
          @click="select('feature', item.id)"
        >
          <span>{{ featureName(item.kind) }}</span><span class="figures text-ink-soft">{{ itemName(item) }}</span>
        </button>
      </li>
    </ul>
    <section v-if="feature" data-testid="feature-card" :aria-label="featureName(feature.kind)">
      <h2 class="text-sm font-semibold">
        {{ featureName(feature.kind) }}
      </h2>
      <div class="grid grid-cols-2 gap-x-3 gap-y-2">
        <LengthField
          :key="`x${feature.id}`"
          label="Left edge from wall left"
          :value="feature.x"
          :actions="{ commit: mm => set('Move feature', (feature) => { feature.x = mm }) }"
        />
        <LengthField
          :key="`y${feature.id}`"
          label="Bottom edge above floor"
          :value="feature.y"
          :actions="{ commit: mm => set('Move feature', (feature) => { feature.y = mm }) }"
        />
        <LengthField
          :key="`w${feature.id}`"
          label="Width"
          :value="feature.width"
          :actions="{ commit: mm => set('Feature size', (feature) => { feature.width = mm }) }"
        />
        <LengthField
          :key="`h${feature.id}`"
          label="Height"
          :value="feature.height"
          :actions="{ commit: mm => set('Feature size', (feature) => { feature.height = mm }) }"
        />
      </div>
      <ChoiceField
        v-if="RUNS.has(feature.kind)"
        :key="`d${feature.id}`"
        class="mt-2"
        label="Runs"
        :value="feature.slant ?? 'straight'"
        :options="SLANTS"
        :commit="way => set('Direction of run', feature => slantAs(feature, way))"
      />
      <div class="mt-2 grid grid-cols-2 items-end gap-x-3">
        <TypedField
          :key="`s${feature.id}`"
          :label="`Slope, + right (${unitOf('mm/m')})`"
          :shown="typed(feature.slope, 'mm/m')"
          :read="readSlope"
          :actions="slopeActions"
        />
        <label class="flex min-h-[var(--target)] items-center gap-2 text-sm">
          <input
            type="checkbox"
            class="size-5"
            :checked="feature.keepReachable === true"
            @change="set('Keep accessible', toggleReachable)"
          > Keep accessible
        </label>
      </div>
      <button
        type="button"
        class="press w-full"
        @click="deleteSelected"
      >
        <X class="size-4" aria-hidden="true" /> Delete
      </button>
    </section>
    <div class="border-t border-hair pt-2">
      <h2 class="field-label">
        References visible from both sides
      </h2>
      <div
        v-for="(reference, index) in wall.references"
        :key="reference.id"
        class="mt-1 grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-1"
        :data-reference="reference.id"
      >
        <NoteField
          label="Name"
          :value="itemName(reference)"
          :commit="text => store.edit('Rename reference', wall => { wall.references![index]!.name = text })"
        />
        <LengthField
          label="Front"
          :value="reference.front"
          :actions="{ commit: mm => store.edit('Reference', (wall) => { wall.references![index]!.front = mm }) }"
        />
        <LengthField
          label="Rear"
          :value="reference.back"
          :actions="{ commit: mm => store.edit('Reference', (wall) => { wall.references![index]!.back = mm }) }"
        />
        <button
          type="button"
          class="press !px-2"
          :disabled="usedBy(reference.id)"
          :aria-label="`Delete ${itemName(reference)}`"
          @click="store.edit('Delete reference', wall => { wall.references!.splice(index, 1) })"
        >
          <X class="size-4" aria-hidden="true" />
        </button>
      </div>
      <button type="button" class="press mt-1 w-full" @click="addReference">
        <Plus class="size-4" aria-hidden="true" /> Add reference
      </button>
    </div>
  </div>
</template>
