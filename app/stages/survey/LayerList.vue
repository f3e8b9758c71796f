<script setup lang="ts">
import { ArrowDown, ArrowUp, GripVertical, Plus, X } from 'lucide-vue-next'
import Sortable from 'sortablejs'
import { choiceName, isSheet, type Layer } from '~~/core/job'

/** The layers between structure and room, from the structure outwards; dragged into order. */
const store = useWallStore()
const layers = computed(() => store.wall!.covering)
const MATERIALS = [
  'gypsum-board', 'plaster', 'lath-plaster', 'render', 'plywood', 'osb', 'steel-plate', 'cement-board', 'tile', 'stone',
  'furring', 'void', 'insulation',
]
const set = (index: number, recipe: (layer: Layer) => void) =>
  store.edit('Build-up', wall => recipe(wall.covering[index]!))
/** Whether plates may hang on a sheet. */
const carries = (index: number) => set(index, (layer) => {
  if (layer.backing) delete layer.backing
  else layer.backing = true
})
const move = (from: number, to: number) => store.edit('Layer order', wall => moveLayer(wall, from, to))
const options = (material: string) =>
  [...new Set([...MATERIALS, material])].map(value => ({ value, label: choiceName(value) }))

const list = useTemplateRef<HTMLElement>('list')
watchEffect((onCleanup) => {
  if (!list.value) return
  const sortable = Sortable.create(list.value, {
    handle: '[data-grip]', animation: 120,
    onEnd({ oldIndex, newIndex, item, from }) {
      if (oldIndex === undefined || newIndex === undefined || oldIndex === newIndex) return
      // Vue draws the list anew from the edited wall; the moved node goes back first.
      from.insertBefore(item, from.children[oldIndex + (oldIndex > newIndex ? 1 : 0)] ?? null)
      move(oldIndex, newIndex)
    },
  })
  onCleanup(() => sortable.destroy())
})
/** Outside, wood is taken as wet until it is said to be dry. */
const WET = [{ value: '', label: 'not known' }, { value: 'dry', label: 'dry' }, { value: 'wet', label: 'wet or damp' }]
const setWet = (value: string) => store.edit('Moisture', (wall) => {
  if (value === '') delete wall.wet
  else wall.wet = value === 'wet'
})
</script>

<template>
  <div class="space-y-2">
    <ChoiceField
      inline
      label="Preset"
      value=""
      :options="BUILD_UPS.map(({ name }) => ({ value: name, label: name }))"
      :commit="name => store.edit(name, wall => setBuildUp(wall, name))"
    />
    <h2 class="field-label">
      Build-up, structure to room
    </h2>
    <ol ref="list" class="max-h-80 space-y-1 overflow-y-auto" tabindex="0" aria-label="Layers" data-testid="layers">
      <li
        v-for="(layer, index) in layers"
        :key="`${index}-${layer.material}`"
        class="rounded border border-hair bg-paper p-1.5"
      >
        <div class="flex items-center gap-1">
          <span
            data-grip
            class="cursor-grab text-ink-soft"
            title="Drag to reorder"
          ><GripVertical class="size-4" aria-hidden="true" /></span>
          <select
            class="field-input !min-h-8 flex-1 !px-1 !text-sm"
            :value="layer.material"
            :aria-label="`Material of layer ${index + 1}`"
            @change="set(index, layer => { layer.material = ($event.target as HTMLSelectElement).value })"
          >
            <option v-for="{ value, label } in options(layer.material)" :key="value" :value="value">
              {{ label }}
            </option>
          </select>
          <button
            type="button"
            class="p-0.5 disabled:opacity-30"
            :disabled="index === 0"
            :aria-label="`Move layer ${index + 1} towards the structure`"
            @click="move(index, index - 1)"
          >
            <ArrowUp class="size-4" aria-hidden="true" />
          </button>
          <button
            type="button"
            class="p-0.5 disabled:opacity-30"
            :disabled="index === layers.length - 1"
            :aria-label="`Move layer ${index + 1} towards the room`"
            @click="move(index, index + 1)"
          >
            <ArrowDown class="size-4" aria-hidden="true" />
          </button>
          <button
            type="button"
            class="p-0.5"
            :aria-label="`Delete layer ${index + 1}`"
            @click="store.edit('Delete layer', wall => { wall.covering.splice(index, 1) })"
          >
            <X class="size-4" aria-hidden="true" />
          </button>
        </div>
        <div class="mt-1 grid grid-cols-3 gap-1">
          <LengthField
            label="Thickness"
            :value="layer.thickness"
            :actions="{ commit: mm => set(index, (layer) => { layer.thickness = mm }) }"
          />
          <template v-if="layer.material === 'furring'">
            <LengthField
              label="Width"
              :value="layer.width"
              :actions="{ commit: mm => set(index, (layer) => { layer.width = mm }) }"
            />
            <LengthField
              label="Spacing"
              :value="layer.spacing"
              :actions="{ commit: mm => set(index, (layer) => { layer.spacing = mm }) }"
            />
          </template>
          <NoteField
            v-else
            class="col-span-2"
            label="Note"
            :value="layer.note ?? ''"
            :commit="text => set(index, (layer) => { if (text) layer.note = text; else delete layer.note })"
          />
        </div>
        <label v-if="isSheet(layer.material)" class="mt-1 flex min-h-[var(--target)] items-center gap-2 text-sm">
          <input type="checkbox" class="size-5" :checked="layer.backing === true" @change="carries(index)">
          Backing that carries: fixed to every stud
        </label>
      </li>
    </ol>
    <button
      type="button"
      class="press mt-1 w-full"
      @click="store.edit('Add layer', wall => { wall.covering.push({ material: 'gypsum-board', thickness: 12.5 }) })"
    >
      <Plus class="size-4" aria-hidden="true" /> Add layer
    </button>
    <ChoiceField
      inline
      label="Moisture"
      :value="store.wall!.wet === undefined ? '' : store.wall!.wet ? 'wet' : 'dry'"
      :options="WET"
      :commit="setWet"
    />
  </div>
</template>
