<script setup lang="ts">
import { X } from 'lucide-vue-next'
import { itemName, type CableModel } from '~~/core/job'
import type { BoxPlan } from '~~/core/wire'

/** One box: where it is, what is wrong with that, its cut-out, and the cable to it. */
const { box } = defineProps<{ box: BoxPlan }>()
const store = useWallStore()
const { show, tell, withUnit } = useUnits()
const { optionsOf, take } = useModelChoice()
const put = (place: { x: number, y: number } | undefined) =>
  store.edit(place ? 'Move box' : 'Place box automatically', wall => setBox(wall, box.id, place))
const placeOf = (axis: 'x' | 'y'): FieldActions<number> => ({
  tryOut: mm => store.tryOut(wall => setBox(wall, box.id, { x: box.x, y: box.y, [axis]: mm })),
  commit: mm => put({ x: box.x, y: box.y, [axis]: mm }),
})
const cables = computed(() => [
  { value: '', label: 'automatic' },
  ...optionsOf('cable', box.cable, model =>
    box.kind === 'pass-through'
      ? (model as CableModel).kind !== 'power' && (model as CableModel).kind !== 'cord'
      : (model as CableModel).kind === 'power' || (model as CableModel).kind === 'cord',
  ),
])
function chooseCable(id: string) {
  if (id) take('cable', id)
  return store.edit('Cable to box', wall => setBoxCable(wall, box.id, id || undefined))
}
const sentence = (text: string) => text.replace(/^./, letter => letter.toUpperCase())
</script>

<template>
  <section data-testid="box-card" class="border-t border-hair pt-2" :aria-label="`Box ${itemName(box)}`">
    <div class="grid grid-cols-2 gap-3">
      <LengthField :key="`x${box.id}`" label="Centre, along" :value="box.x" :actions="placeOf('x')" />
      <LengthField
        v-if="box.kind !== 'floor'"
        :key="`y${box.id}`"
        label="Centre, up"
        :value="box.y"
        :actions="placeOf('y')"
      />
    </div>
    <p v-if="box.kind !== 'floor'" class="mt-1 text-sm">
      Cut-out {{ show(box.cutout.width) }} × {{ withUnit(box.cutout.height) }}, from {{ show(box.cutout.x) }} to
      {{ withUnit(box.cutout.x + box.cutout.width) }} along and {{ show(box.cutout.y) }} to
      {{ withUnit(box.cutout.y + box.cutout.height) }}
      up{{ box.bay[0] !== undefined && box.bay[1] !== undefined
        ? `, between studs ${box.bay[0] + 1} and ${box.bay[1] + 1}` : '' }}{{ box.hidden ? `; hidden ${box.hidden}`
        : '' }}.
    </p>
    <p v-for="(wrong, n) in box.wrong" :key="n" class="text-sm font-semibold text-stop" role="alert">
      {{ sentence(tell(wrong)) }}.
    </p>
    <p v-for="(doubt, n) in box.doubts" :key="`d${n}`" class="text-sm text-caution">
      {{ sentence(tell(doubt)) }}.
    </p>
    <ChoiceField
      v-if="box.kind !== 'floor' && box.kind !== 'kit-lower'"
      class="mt-1"
      label="Cable to box"
      :value="box.cable ?? ''"
      :options="cables"
      :commit="chooseCable"
    />
    <div class="mt-2 flex flex-wrap gap-2">
      <button v-if="box.nearest" type="button" class="press press-first" @click="put(box.nearest)">
        Move to nearest position
      </button>
      <button v-if="box.byHand" type="button" class="press" @click="put(undefined)">
        Place automatically
      </button>
      <button type="button" class="press" @click="store.edit('Delete box', wall => removeBox(wall, box.id))">
        <X class="size-4" aria-hidden="true" /> Delete box
      </button>
    </div>
  </section>
</template>
