<script setup lang="ts">
import { accuracyOf, howTrue } from '~~/core/mark'
import { chosenFigure } from '~~/core/rules'
import { parseLength, toleranceToString } from '~~/core/units'

/** Where dimensions run from, the level line, and how true a mark is. */
const store = useWallStore()
const { plan } = useWallPlan()
const { system, precision, show, quantity } = useUnits()
const { fine } = usePreferences()
const marking = computed(() => plan.value?.marking)
const accuracy = computed(() =>
  accuracyOf(
    marking.value?.marks ?? [],
    system.value,
    precision.value,
    chosenFigure('markingSigma', store.rules, system.value),
  ),
)
const datumActions: FieldActions<number> = {
  tryOut: mm => store.tryOut((wall) => { wall.datum = { label: wall.datum?.label ?? 'datum', x: mm } }),
  commit: mm => store.edit('Datum', (wall) => { wall.datum = { label: wall.datum?.label ?? 'datum', x: mm } }),
}
const labelActions: FieldActions<string> = {
  commit: label => store.edit('Name of the datum', (wall) => { wall.datum = { x: wall.datum?.x ?? 0, label } }),
}
const { choices, choose, chosen } = useDatumChoices()
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
const levelHint = computed(() => {
  const label = marking.value?.levelLine?.label
  if (label === undefined) return 'No level line: add an array first.'
  return `${label.charAt(0).toUpperCase()}${label.slice(1)}. Clear the field to follow the house rule.`
})
</script>

<template>
  <ChoiceField label="Dimension datum" :value="chosen" :options="choices" :commit="choose" />
  <div class="grid grid-cols-2 gap-3">
    <LengthField label="Datum from left end" :value="marking?.datum.x" :actions="datumActions" />
    <TextField label="Datum name" :value="marking?.datum.label ?? ''" :actions="labelActions" />
  </div>
  <TypedField
    label="Level line above floor"
    :shown="marking?.levelLine ? `${show(marking.levelLine.y)}` : ''"
    :read="readLevel"
    :actions="levelActions"
    :hint="levelHint"
  />
  <p v-if="marking?.levelLine?.turn" class="text-sm font-semibold text-caution" data-testid="turned">
    The level line follows a building line that rises {{ quantity(marking.levelLine.turn.slope, 'mm/m') }} to the right.
    Snap it through its two heights and measure square to it.
  </p>
  <label class="flex items-center gap-2 text-sm">
    <input v-model="fine" type="checkbox" class="size-5"> Finer figures:
    {{ system === 'metric' ? '0.1 mm' : '1/32 in' }}
  </label>
  <p class="text-sm text-ink-soft" data-testid="accuracy">
    Figures are rounded once, by at most {{ tolerance(accuracy.rounding) }}, including the rounding of the level line.
    {{ howTrue(accuracy, store.rules, system) }}
  </p>
</template>
