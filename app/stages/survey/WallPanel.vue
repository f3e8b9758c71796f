<script setup lang="ts">
import type { Wall } from '~~/core/job'

/** What the wall is: its size, its structure, what is in it, and how old it is. */
const store = useWallStore()
const { unitOf, typed, readIn } = useUnits()
const wall = computed(() => store.wall!)
const structure = computed(() => wall.value.structure)
const framed = computed(() => structure.value.kind.endsWith('stud'))
const field = (label: string, set: (wall: Wall, value: number) => void): FieldActions<number> => ({
  tryOut: value => store.tryOut(wall => set(wall, value)),
  commit: value => store.edit(label, wall => set(wall, value)),
})
const STRUCTURES = [
  { value: 'wood-stud', label: 'Wood studs' }, { value: 'steel-stud', label: 'Steel studs' },
  { value: 'block', label: 'Block' }, { value: 'concrete', label: 'Concrete' },
]
const BLOCK = { length: 390, height: 190, joint: 10, bond: 'running' as const, origin: { x: 0, y: 0 } }
const setStructure = (kind: string) => store.edit('Structure', (wall) => {
  wall.structure.kind = kind as Wall['structure']['kind']
  if (kind === 'block') wall.structure.block ??= structuredClone(BLOCK)
})
function readCount(unit: string) {
  return (text: string): Read<number | undefined> => {
    if (text.trim() === '') return { ok: true, value: undefined }
    return /^\d+([.,]\d+)?$/.test(text.trim()) ? { ok: true, value: Number(text.replace(',', '.')) } : { ok: false, message: `“${text}” is not a number of ${unit}` }
  }
}
const setOr = (key: 'fireRating' | 'linedIn', label: string) => (value: number | undefined) => store.edit(label, (wall) => {
  if (value === undefined) Reflect.deleteProperty(wall, key)
  else wall[key] = value
})
</script>

<template>
  <div class="space-y-1.5">
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <LengthField label="Wall width" :value="wall.width" :actions="field('Wall width', (wall, mm) => { wall.width = mm })" />
      <LengthField label="Wall height" :value="wall.height" :actions="field('Wall height', (wall, mm) => { wall.height = mm })" />
    </div>
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <ChoiceField label="Structure" :value="structure.kind" :options="STRUCTURES" :commit="setStructure" />
      <template v-if="framed">
        <LengthField label="Stud width" :value="structure.memberWidth" :actions="field('Stud width', (wall, mm) => { wall.structure.memberWidth = mm })" />
        <LengthField label="Stud depth" :value="structure.memberDepth" :actions="field('Stud depth', (wall, mm) => { wall.structure.memberDepth = mm })" />
        <LengthField label="Expected spacing" :value="structure.spacing" :actions="field('Expected spacing', (wall, mm) => { wall.structure.spacing = mm })" />
        <LengthField v-if="structure.kind === 'steel-stud'" label="Steel thickness" :value="structure.gauge" :actions="field('Steel thickness', (wall, mm) => { wall.structure.gauge = mm })" />
      </template>
      <LengthField v-else label="Thickness" :value="structure.thickness" :actions="field('Thickness', (wall, mm) => { wall.structure.thickness = mm })" />
      <template v-if="structure.kind === 'block' && structure.block">
        <div class="col-span-2 grid grid-cols-3 gap-x-3">
          <LengthField label="Block length" :value="structure.block.length" :actions="field('Block length', (wall, mm) => { wall.structure.block!.length = mm })" />
          <LengthField label="Block height" :value="structure.block.height" :actions="field('Block height', (wall, mm) => { wall.structure.block!.height = mm })" />
          <LengthField label="Joint" :value="structure.block.joint" :actions="field('Joint', (wall, mm) => { wall.structure.block!.joint = mm })" />
        </div>
        <div class="col-span-2 grid grid-cols-[1.3fr_1.2fr_0.8fr] gap-x-2">
          <ChoiceField label="Bond" :value="structure.block.bond" :options="[{ value: 'running', label: 'running' }, { value: 'stack', label: 'stack' }]" :commit="bond => store.edit('Bond', wall => { wall.structure.block!.bond = bond as 'running' })" />
          <ChoiceField label="Block type" :value="structure.block.unit ?? ''" :options="[{ value: 'hollow', label: 'hollow' }, { value: 'solid', label: 'solid' }, { value: 'grouted', label: 'grouted' }]" :commit="unit => store.edit('Block type', wall => { wall.structure.block!.unit = unit as 'hollow' })" />
          <LengthField v-if="structure.block.unit === 'hollow'" label="Face shell" :value="structure.block.shell" :actions="field('Face shell', (wall, mm) => { wall.structure.block!.shell = mm })" />
        </div>
      </template>
      <TypedField v-if="structure.kind === 'concrete'" :label="`Strength f′c (${unitOf('MPa')})`" :shown="typed(structure.strength, 'MPa')" :read="readIn('MPa')" :actions="{ commit: value => store.edit('Strength', (wall) => { if (value === undefined) delete wall.structure.strength; else wall.structure.strength = value }) }" />
    </div>
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <TypedField label="Fire rating (min)" :shown="wall.fireRating === undefined ? '' : String(wall.fireRating)" :read="readCount('minutes')" :actions="{ commit: setOr('fireRating', 'Fire rating') }" />
      <TypedField label="Year lined" :shown="wall.linedIn === undefined ? '' : String(wall.linedIn)" :read="readCount('years')" :actions="{ commit: setOr('linedIn', 'Year lined') }" />
      <NoteField label="Bay insulation" :value="wall.insulation ?? ''" :commit="text => store.edit('Bay insulation', wall => { if (text) wall.insulation = text; else delete wall.insulation })" />
    </div>
    <p v-if="wall.linedIn === undefined" class="text-xs text-caution">
      Age of lining not known: it may contain asbestos or lead. Have it tested before cutting or drilling.
    </p>
  </div>
</template>
