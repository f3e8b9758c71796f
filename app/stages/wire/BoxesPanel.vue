<script setup lang="ts">
import { Hand, X } from 'lucide-vue-next'
import type { BoxKind, BoxModel } from '~~/core/job'

/** A box behind each display, and one below in its bay for a kit: which model, and where each of them is. */
const store = useWallStore()
const { plan } = useWallPlan()
const { show, tell } = useUnits()
const { offeredOf, optionsOf, take } = useModelChoice()
const { select, selectedOf } = useSelection()
const boxes = computed(() => plan.value?.wiring.boxes ?? [])
const box = computed(() => boxes.value.find(({ id }) => id === selectedOf('box')))
const labelOf = computed(() => new Map(plan.value?.wiring.loads.map(({ screen, label }) => [screen, label])))

const KINDS: { value: BoxKind, label: string }[] = [
  { value: 'power', label: 'Power box behind each' }, { value: 'kit-upper', label: 'Kit, upper box behind each' }, { value: 'kit-lower', label: 'Kit, lower box below' }, { value: 'pass-through', label: 'Pass-through behind each' },
]
const kind = ref<BoxKind>('power')
const model = ref('')
const models = computed(() => optionsOf('box', undefined, each => (each as BoxModel).kind === kind.value))
/** The model that this wall has already, or else the one with the smallest cut-out. */
const usual = () => store.wall?.boxes?.find(each => each.kind === kind.value)?.model
  ?? (offeredOf('box', undefined) as BoxModel[]).filter(each => each.kind === kind.value && !each.surface).sort((a, b) => a.cutout.width * a.cutout.height - b.cutout.width * b.cutout.height)[0]?.id ?? ''
watch([kind, () => models.value.length], () => { if (!models.value.some(({ value }) => value === model.value)) model.value = usual() }, { immediate: true })
const screens = computed(() => (plan.value?.arrays.find(({ id }) => id === store.array?.id)?.positions ?? []).map(({ id }) => id))
const fault = ref('')
function add() {
  take('box', model.value)
  fault.value = store.edit('Add boxes', wall => addBoxes(wall, kind.value, model.value, screens.value)).map(({ message }) => message).join(' ')
}
const put = (place: { x: number, y: number } | undefined) => store.edit(place ? 'Put a box by hand' : 'Leave a box to be placed', wall => setBox(wall, box.value!.id, place))
const placeOf = (axis: 'x' | 'y'): FieldActions<number> => ({
  tryOut: mm => store.tryOut(wall => setBox(wall, box.value!.id, { x: box.value!.x, y: box.value!.y, [axis]: mm })),
  commit: mm => put({ x: box.value!.x, y: box.value!.y, [axis]: mm }),
})
</script>

<template>
  <div class="space-y-2.5">
    <div class="grid grid-cols-2 gap-2">
      <ChoiceField label="Boxes" :value="kind" :options="KINDS" :commit="(value) => { kind = value as BoxKind; return [] }" />
      <ChoiceField label="Model" :value="model" :options="models" :commit="(value) => { model = value; return [] }" />
    </div>
    <button type="button" class="press w-full" :disabled="!model || screens.length === 0" @click="add">
      Place them for {{ store.array?.name ?? 'the array' }}
    </button>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <ul class="max-h-44 overflow-y-auto text-sm" aria-label="Boxes on this wall" tabindex="0">
      <li v-for="each in boxes" :key="each.id">
        <button type="button" class="flex w-full items-center justify-between gap-2 border-b border-hair py-1 text-left" :class="{ 'font-semibold': each.id === selectedOf('box') }" :aria-pressed="each.id === selectedOf('box')" @click="select('box', each.id)">
          <span class="flex items-center gap-1">{{ each.for.map(id => labelOf.get(id) ?? id).join(', ') }}, {{ each.kind.replace('-', ' ') }}<Hand v-if="each.byHand" class="size-4 text-chalk" aria-label="put by hand" /></span>
          <span v-if="each.held" class="figures text-ink-soft">{{ show(each.x) }}, {{ show(each.y) }} up</span><span v-else class="font-semibold text-stop">no place</span>
        </button>
      </li>
    </ul>
    <section v-if="box" data-testid="box-card" class="border-t border-hair pt-2" :aria-label="`Box ${box.id}`">
      <div class="grid grid-cols-2 gap-3">
        <LengthField :key="`x${box.id}`" label="Middle, along" :value="box.x" :actions="placeOf('x')" />
        <LengthField :key="`y${box.id}`" label="Middle, up" :value="box.y" :actions="placeOf('y')" />
      </div>
      <p class="mt-1 text-sm">
        Cut out {{ show(box.cutout.width) }} × {{ show(box.cutout.height) }}, from {{ show(box.cutout.x) }} to {{ show(box.cutout.x + box.cutout.width) }} along and {{ show(box.cutout.y) }} to {{ show(box.cutout.y + box.cutout.height) }} up{{ box.bay[0] !== undefined && box.bay[1] !== undefined ? `, between members ${box.bay[0] + 1} and ${box.bay[1] + 1}` : '' }}.
      </p>
      <p v-for="(wrong, n) in box.wrong" :key="n" class="text-sm font-semibold text-stop" role="alert">
        {{ tell(wrong).replace(/^./, letter => letter.toUpperCase()) }}.
      </p>
      <div class="mt-2 flex flex-wrap gap-2">
        <button v-if="box.nearest" type="button" class="press press-first" @click="put(box.nearest)">
          Put it at the nearest place
        </button>
        <button v-if="box.byHand" type="button" class="press" @click="put(undefined)">
          Leave it to be placed
        </button>
        <button type="button" class="press" @click="store.edit('Take a box away', wall => removeBox(wall, box!.id))">
          <X class="size-4" aria-hidden="true" /> Take it away
        </button>
      </div>
    </section>
  </div>
</template>
