<script setup lang="ts">
import { X } from 'lucide-vue-next'
import { takeUp } from '~~/core/survey'
import { parseLength } from '~~/core/units'

/** How plumb and flat the face is, read as distances from one plane in front of it. */
const store = useWallStore()
const { plan } = useWallPlan()
const { show, showFine, fineWithUnit, quantity, system } = useUnits()
const { tool } = useSurveyTool()
const wall = computed(() => store.wall!)
const readings = computed(() => wall.value.surface ?? [])
const relief = computed(() => plan.value?.relief)
const distance = ref('')
const fault = ref('')
const id = useId()
/** Reads `x y distance`, three lengths. */
function add() {
  const words = distance.value.trim().split(/[\s,;]+/).filter(Boolean)
  const lengths = words.map(word => parseLength(word, system.value))
  const bad = lengths.find(length => !length.ok)
  if (bad && !bad.ok) return void (fault.value = bad.message)
  const mm = lengths.flatMap(length => length.ok ? [length.mm] : [])
  if (mm.length === 0 || mm.length % 3 !== 0)
    return void (fault.value = 'Enter three lengths for each point: along, up and measured distance.')
  const points = Array.from({ length: mm.length / 3 }, (_, n) => ({
    x: mm[3 * n]!,
    y: mm[3 * n + 1]!,
    distance: mm[3 * n + 2]!,
  }))
  const off = points.find(({ x, y }) => x < 0 || y < 0 || x > wall.value.width || y > wall.value.height)
  if (off) return void (fault.value = `The point ${show(off.x)}, ${show(off.y)} is outside the wall.`)
  fault.value = store
    .edit('Add flatness readings', (wall) => {
      wall.surface = [...(wall.surface ?? []), ...points]
    })
    .map(({ message }) => message)
    .join(' ')
  if (!fault.value) distance.value = ''
}
defineExpose({
  pointAt: (x: number, y: number) => {
    distance.value = `${showFine(x)} ${showFine(y)} `
    document.getElementById(id)?.focus()
  },
})
const perMetre = (slope: number) => quantity(1000 * slope, 'mm/m')
const plates = computed(() =>
  (plan.value?.arrays ?? []).map(array => ({
    name: array.name,
    up: relief.value
      ? takeUp(
          relief.value,
          array.positions.flatMap(({ plate }) => (plate ? [plate.centre] : [])),
        )
      : 0,
    travel: store.catalogue.mounts.find(({ id }) => id === wall.value.arrays.find(({ id }) => id === array.id)?.mount)
      ?.adjust?.depth,
  })),
)
</script>

<template>
  <div class="space-y-2.5">
    <form @submit.prevent="add">
      <FieldFrame :id="id" v-slot="{ describedby }" label="Along, up, distance to plane" :fault="fault">
        <div class="flex gap-2">
          <input
            :id="id"
            v-model="distance"
            class="field-input text-right"
            placeholder="600 900 152"
            autocomplete="off"
            :aria-invalid="fault !== ''"
            :aria-describedby="describedby"
            @input="fault = ''"
          >
          <button type="submit" class="press press-first">
            Add
          </button>
        </div>
      </FieldFrame>
    </form>
    <button
      type="button"
      class="press w-full"
      :class="{ 'press-first': tool?.enters === 'surface' }"
      :aria-pressed="tool?.enters === 'surface'"
      @click="tool = tool ? undefined : { enters: 'surface' }"
    >
      {{ tool?.enters === 'surface' ? 'Click the wall to fill in along and up' : 'Point on wall' }}
    </button>
    <dl v-if="relief" class="grid grid-cols-[1fr_auto] gap-y-1 text-sm" data-testid="relief">
      <dt>Leans {{ relief.plane.up > 0 ? 'into the room' : 'away' }} towards the
        top</dt><dd class="figures text-right font-semibold">
          {{ perMetre(Math.abs(relief.plane.up)) }}
        </dd>
      <dt>Turns {{ relief.plane.along > 0 ? 'into the room' : 'away' }} towards the
        right</dt><dd class="figures text-right font-semibold">
        {{ perMetre(Math.abs(relief.plane.along)) }}
      </dd>
      <dt>Flatness, lowest to highest point</dt><dd class="figures text-right font-semibold">
        {{ fineWithUnit(relief.flatness) }}
      </dd>
      <dt>Highest point</dt><dd class="figures text-right font-semibold">
        {{ show(relief.highest.x) }}, {{ show(relief.highest.y) }}
      </dd>
      <template v-for="plate in plates" :key="plate.name">
        <dt :class="{ 'text-stop': plate.travel !== undefined && plate.up > 2 * plate.travel }">
          {{ plate.name }}: depth adjustment required
        </dt><dd class="figures text-right font-semibold">
          {{ fineWithUnit(plate.up) }}, {{ plate.travel === undefined ? 'travel not known'
            : `of ${fineWithUnit(2 * plate.travel)}` }}
        </dd>
      </template>
    </dl>
    <p v-else class="text-sm text-ink-soft">
      Enter at least three points that are not in one line. Measure from a laser plane or plumb lines in front of the
      wall.
    </p>
    <ul class="max-h-60 overflow-y-auto text-sm" aria-label="Flatness points" tabindex="0">
      <li
        v-for="(point, index) in readings"
        :key="index"
        class="figures flex items-center justify-between border-b border-hair"
      >
        <span>{{ show(point.x) }}, {{ show(point.y) }}</span><span>{{ showFine(point.distance) }}<button
          type="button"
          class="p-1.5 align-middle"
          :aria-label="`Delete point ${index + 1}`"
          @click="store.edit('Delete flatness point', wall => { wall.surface!.splice(index, 1) })"
        ><X class="size-4" aria-hidden="true" /></button></span>
      </li>
    </ul>
  </div>
</template>
