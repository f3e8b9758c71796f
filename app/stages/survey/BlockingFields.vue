<script setup lang="ts">
import { Plus, X } from 'lucide-vue-next'
import { madeId, type Wall } from '~~/core/job'

/** Blocking between the studs: where it was found or is suspected, and where it is ruled out. */
const store = useWallStore()
const { withUnit } = useUnits()
const wall = computed(() => store.wall!)
const field = (label: string, set: (wall: Wall, value: number) => void): FieldActions<number> => ({
  tryOut: value => store.tryOut(wall => set(wall, value)),
  commit: value => store.edit(label, wall => set(wall, value)),
})
/** A row of blocking that is only suspected, half way up, to be set right. */
const addBlocking = () =>
  store.edit('Add blocking', (wall) => {
    wall.blocking = [
      ...(wall.blocking ?? []),
      { id: madeId('b', wall.blocking), y: Math.round(wall.height / 2), found: false },
    ]
  })
const SIDES = [
  { key: 'x1', label: 'From wall left' },
  { key: 'x2', label: 'To' },
  { key: 'y1', label: 'Bottom above floor' },
  { key: 'y2', label: 'Top above floor' },
] as const
const ruled = (index: number, side: (typeof SIDES)[number]['key']) =>
  field('Blocking ruled out', (wall, mm) => {
    wall.blockingRuledOut![index]![side] = mm
  })
/** All of the wall to begin with; its sides are set right then. */
const rule = () =>
  store.edit('Rule out blocking', (wall) => {
    wall.blockingRuledOut = [...(wall.blockingRuledOut ?? []), { x1: 0, x2: wall.width, y1: 0, y2: wall.height }]
  })
const unrule = (index: number) =>
  store.edit('Blocking ruled out', (wall) => {
    wall.blockingRuledOut!.splice(index, 1)
    if (wall.blockingRuledOut!.length === 0) delete wall.blockingRuledOut
  })
</script>

<template>
  <div class="border-t border-hair pt-2">
    <h2 class="field-label">Blocking between studs</h2>
    <div
      v-if="wall.blocking?.length"
      class="max-h-16 overflow-y-auto"
      tabindex="0"
      role="group"
      aria-label="Rows of blocking"
    >
      <div v-for="(row, index) in wall.blocking" :key="row.id" class="mt-1 flex items-end gap-2">
        <LengthField
          class="flex-1"
          :label="`Height of ${row.id}${row.x1 === undefined ? '' : ', one bay'}`"
          :value="row.y"
          :actions="
            field('Height of blocking', (wall, mm) => {
              wall.blocking![index]!.y = mm
            })
          "
        />
        <ChoiceField
          class="flex-1"
          label="Status"
          :value="row.found ? 'found' : 'suspected'"
          :options="[
            { value: 'found', label: 'found' },
            { value: 'suspected', label: 'suspected' },
          ]"
          :commit="
            value =>
              store.edit('Blocking', wall => {
                wall.blocking![index]!.found = value === 'found'
              })
          "
        />
        <button
          type="button"
          class="press !px-2"
          :aria-label="`Delete ${row.id}`"
          @click="
            store.edit('Delete blocking', wall => {
              wall.blocking!.splice(index, 1)
            })
          "
        >
          <X class="size-4" aria-hidden="true" />
        </button>
        <button v-if="index === 0" type="button" class="press !px-2" aria-label="Add blocking" @click="addBlocking">
          <Plus class="size-4" aria-hidden="true" />
        </button>
      </div>
    </div>
    <button v-else type="button" class="press mt-1 w-full" @click="addBlocking">
      <Plus class="size-4" aria-hidden="true" /> Add blocking
    </button>
    <h2 class="field-label mt-2">Blocking ruled out</h2>
    <div v-for="(part, index) in wall.blockingRuledOut" :key="index" class="mt-1 border-b border-hair pb-2">
      <div class="flex items-center justify-between text-sm">
        Part {{ index + 1 }}
        <button type="button" class="press !px-2" :aria-label="`Delete part ${index + 1}`" @click="unrule(index)">
          <X class="size-4" aria-hidden="true" />
        </button>
      </div>
      <div class="grid grid-cols-2 items-start gap-x-3 gap-y-1">
        <LengthField
          v-for="side in SIDES"
          :key="side.key"
          :label="side.label"
          :value="part[side.key]"
          :actions="ruled(index, side.key)"
        />
      </div>
    </div>
    <button type="button" class="press mt-1 w-full" @click="rule">
      <Plus class="size-4" aria-hidden="true" /> Rule out blocking in a part
    </button>
    <p class="mt-1 text-xs text-ink-soft">
      One nail confirms a stud only where blocking is ruled out; else it takes a second one {{ withUnit(150) }} higher
      or lower.
    </p>
  </div>
</template>
