<script setup lang="ts">
import { Hand } from 'lucide-vue-next'
import { choiceName, type BoxKind, type BoxModel } from '~~/core/job'

/** A box behind each display, and one below in its bay for a kit: which model, and where each of them is. */
const store = useWallStore()
const { plan } = useWallPlan()
const { labels } = useWire()
const { show } = useUnits()
const { offeredOf, optionsOf, take } = useModelChoice()
const { select, selectedOf } = useSelection()
const boxes = computed(() => plan.value?.wiring.boxes ?? [])
const box = computed(() => boxes.value.find(({ id }) => id === selectedOf('box')))

const KINDS: { value: BoxKind, label: string }[] = [
  { value: 'power', label: 'Power box per screen' },
  { value: 'kit-upper', label: 'Kit upper box per screen' },
  { value: 'kit-lower', label: 'Kit lower box' },
  { value: 'pass-through', label: 'Pass-through per screen' },
  { value: 'floor', label: 'Floor outlet per screen' },
]
/** What the house rule on power begins with. */
const BY_RULE: Record<string, BoxKind> = { electrician: 'power', kit: 'kit-upper', outlet: 'pass-through' }
const kind = ref<BoxKind>(BY_RULE[store.rules.power ?? 'electrician']!)
const model = ref('')
const solid = computed(() => !store.wall?.structure.kind.endsWith('stud'))
const models = computed(() => optionsOf('box', undefined, each => (each as BoxModel).kind === kind.value))
/** The model that this wall has already, or else the one with the smallest cut-out that suits the wall. */
const usual = () =>
  store.wall?.boxes?.find(each => each.kind === kind.value)?.model
  ?? (offeredOf('box', undefined) as BoxModel[])
    .filter(each => each.kind === kind.value)
    .sort(
      (a, b) =>
        Number((a.surface ?? false) !== solid.value) - Number((b.surface ?? false) !== solid.value)
        || a.cutout.width * a.cutout.height - b.cutout.width * b.cutout.height,
    )[0]?.id
    ?? ''
watch(
  [kind, () => models.value.length],
  () => {
    if (!models.value.some(({ value }) => value === model.value)) model.value = usual()
  },
  { immediate: true },
)
const screens = computed(() =>
  (plan.value?.arrays.find(({ id }) => id === store.array?.id)?.positions ?? []).map(({ id }) => id),
)
const fault = ref('')
function add() {
  take('box', model.value)
  fault.value = store
    .edit('Add boxes', wall => addBoxes(wall, kind.value, model.value, screens.value))
    .map(({ message }) => message)
    .join(' ')
}
</script>

<template>
  <div class="space-y-2.5">
    <div class="space-y-1">
      <ChoiceField
        inline
        label="Box type"
        :value="kind"
        :options="KINDS"
        :commit="(value) => { kind = value as BoxKind; return [] }"
      />
      <ChoiceField
        inline
        label="Model"
        :value="model"
        :options="models"
        :commit="(value) => { model = value; return [] }"
      />
    </div>
    <button type="button" class="press w-full" :disabled="!model || screens.length === 0" @click="add">
      Place boxes for {{ store.array?.name ?? 'the array' }}
    </button>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <ul class="max-h-28 overflow-y-auto text-sm" aria-label="Boxes on this wall" tabindex="0">
      <li v-for="each in boxes" :key="each.id">
        <button
          type="button"
          class="flex w-full items-center justify-between gap-2 border-b border-hair py-1 text-left"
          :class="{ 'font-semibold': each.id === selectedOf('box') }"
          :aria-pressed="each.id === selectedOf('box')"
          @click="select('box', each.id)"
        >
          <span class="flex items-center gap-1">{{ labels(each.for) }}, {{ choiceName(each.kind) }}<Hand
            v-if="each.byHand"
            class="size-4 text-chalk"
            aria-label="placed manually"
          /></span>
          <span v-if="each.held" class="figures text-ink-soft">{{ show(each.x) }}, {{ show(each.y) }}
            up</span><span v-else class="font-semibold text-stop">not placed</span>
        </button>
      </li>
    </ul>
    <BoxCard v-if="box" :box="box" />
    <p v-else-if="boxes.length > 0" class="text-xs text-ink-soft">
      Select a box here or on the drawing. Drag it on the drawing to move it.
    </p>
  </div>
</template>
