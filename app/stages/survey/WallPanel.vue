<script setup lang="ts">
import { STRUCTURES, structureKindOf, type Wall } from '~~/core/job'

/** What the wall is: its size, its structure, what is in it, and how old it is. */
const store = useWallStore()
const { unitOf, typed, readIn } = useUnits()
const wall = computed(() => store.wall!)
const structure = computed(() => wall.value.structure)
const framed = computed(() => structureKindOf(structure.value).framed)
const field = (label: string, set: (wall: Wall, value: number) => void): FieldActions<number> => ({
  tryOut: value => store.tryOut(wall => set(wall, value)),
  commit: value => store.edit(label, wall => set(wall, value)),
})
const KINDS = Object.entries(STRUCTURES).map(([value, { title }]) => ({ value, label: title }))
const setStructure = (kind: string) => store.edit('Structure', (wall) => {
  wall.structure.kind = kind as Wall['structure']['kind']
  const { units } = structureKindOf(wall.structure)
  if (units) wall.structure[units] ??= structuredClone(USUAL_UNITS[units])
})
function readCount(unit: string) {
  return (text: string): Read<number | undefined> => {
    if (text.trim() === '') return { ok: true, value: undefined }
    return /^\d+([.,]\d+)?$/.test(text.trim())
      ? { ok: true, value: Number(text.replace(',', '.')) }
      : { ok: false, message: `“${text}” is not a number of ${unit}` }
  }
}
const setOr = (key: 'fireRating' | 'linedIn', label: string) => (value: number | undefined) =>
  store.edit(label, (wall) => {
    if (value === undefined) Reflect.deleteProperty(wall, key)
    else wall[key] = value
  })
const strengthActions = {
  commit: (value: number | undefined) => store.edit('Strength', ({ structure }) => {
    if (value === undefined) delete structure.strength
    else structure.strength = value
  }),
}
</script>

<template>
  <div class="space-y-1.5">
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <LengthField
        label="Wall width"
        :value="wall.width"
        :actions="field('Wall width', (wall, mm) => { wall.width = mm })"
      />
      <LengthField
        label="Wall height"
        :value="wall.height"
        :actions="field('Wall height', (wall, mm) => { wall.height = mm })"
      />
    </div>
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <ChoiceField label="Structure" :value="structure.kind" :options="KINDS" :commit="setStructure" />
      <template v-if="framed">
        <LengthField
          label="Stud width"
          :value="structure.memberWidth"
          :actions="field('Stud width', (wall, mm) => { wall.structure.memberWidth = mm })"
        />
        <LengthField
          label="Stud depth"
          :value="structure.memberDepth"
          :actions="field('Stud depth', (wall, mm) => { wall.structure.memberDepth = mm })"
        />
        <LengthField
          label="Expected spacing"
          :value="structure.spacing"
          :actions="field('Expected spacing', (wall, mm) => { wall.structure.spacing = mm })"
        />
        <LengthField
          v-if="structure.kind === 'steel-stud'"
          label="Steel thickness"
          :value="structure.gauge"
          :actions="field('Steel thickness', (wall, mm) => { wall.structure.gauge = mm })"
        />
      </template>
      <LengthField
        v-else
        label="Thickness"
        :value="structure.thickness"
        :actions="field('Thickness', (wall, mm) => { wall.structure.thickness = mm })"
      />
      <UnitsFields />
      <TypedField
        v-if="structure.kind === 'concrete'"
        :label="`Strength f′c (${unitOf('MPa')})`"
        :shown="typed(structure.strength, 'MPa')"
        :read="readIn('MPa')"
        :actions="strengthActions"
      />
    </div>
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <TypedField
        label="Fire rating (min)"
        :shown="wall.fireRating === undefined ? '' : String(wall.fireRating)"
        :read="readCount('minutes')"
        :actions="{ commit: setOr('fireRating', 'Fire rating') }"
      />
      <TypedField
        label="Year lined"
        :shown="wall.linedIn === undefined ? '' : String(wall.linedIn)"
        :read="readCount('years')"
        :actions="{ commit: setOr('linedIn', 'Year lined') }"
      />
      <NoteField
        label="Bay insulation"
        :value="wall.insulation ?? ''"
        :commit="text =>
          store.edit('Bay insulation', wall => { if (text) wall.insulation = text; else delete wall.insulation })"
      />
    </div>
    <p v-if="wall.linedIn === undefined" class="text-xs text-caution">
      Age of lining not known: it may contain asbestos or lead. Have it tested before cutting or drilling.
    </p>
  </div>
</template>
