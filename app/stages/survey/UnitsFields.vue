<script setup lang="ts">
import { isOpenUnit, structureKindOf, UNIT_TYPES, unitsOf, type Units, type Wall } from '~~/core/job'

/** The blocks or bricks of a wall: size, joint, bond, and what they are. */
const store = useWallStore()
const structure = computed(() => store.wall!.structure)
const units = computed(() => unitsOf(structure.value))
const kind = computed(() => structureKindOf(structure.value).units ?? 'block')
const name = computed(() => kind.value.replace(/^./, letter => letter.toUpperCase()))
const of = (wall: Wall) => unitsOf(wall.structure)!
const length = (label: string, key: 'length' | 'height' | 'joint' | 'shell'): FieldActions<number> => ({
  tryOut: mm => store.tryOut((wall) => { of(wall)[key] = mm }),
  commit: mm => store.edit(label, (wall) => { of(wall)[key] = mm }),
})
const BONDS = ['running', 'stack'].map(value => ({ value, label: value }))
const types = computed(() => UNIT_TYPES[kind.value].map(value => ({ value, label: value })))
const shell = computed(() => kind.value === 'brick' ? 'Solid behind face' : 'Face shell')
const setBond = (bond: string) => store.edit('Bond', (wall) => { of(wall).bond = bond as Units['bond'] })
const setType = (type: string) =>
  store.edit(`${name.value} type`, (wall) => { of(wall).unit = type as Units['unit'] })
</script>

<template>
  <template v-if="units">
    <div class="col-span-2 grid grid-cols-3 gap-x-3">
      <LengthField :label="`${name} length`" :value="units.length" :actions="length(`${name} length`, 'length')" />
      <LengthField :label="`${name} height`" :value="units.height" :actions="length(`${name} height`, 'height')" />
      <LengthField label="Joint" :value="units.joint" :actions="length('Joint', 'joint')" />
    </div>
    <div class="col-span-2 grid grid-cols-2 gap-x-3 gap-y-2">
      <ChoiceField label="Bond" :value="units.bond" :options="BONDS" :commit="setBond" />
      <ChoiceField :label="`${name} type`" :value="units.unit ?? ''" :options="types" :commit="setType" />
      <LengthField v-if="isOpenUnit(units)" :label="shell" :value="units.shell" :actions="length(shell, 'shell')" />
    </div>
  </template>
</template>
