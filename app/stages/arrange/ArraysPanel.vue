<script setup lang="ts">
import {
  AlignCenterHorizontal, AlignCenterVertical, AlignEndHorizontal, AlignEndVertical, AlignHorizontalDistributeCenter,
  AlignHorizontalSpaceBetween, AlignStartHorizontal, AlignStartVertical, AlignVerticalDistributeCenter,
  AlignVerticalSpaceBetween, Copy, FlipHorizontal2, GitCompareArrows, Plus, Trash2,
} from 'lucide-vue-next'
import { arraysOf, type Wall } from '~~/core/job'

/**
 * Everything that hangs on the wall: arrays apart and in line, and the alternatives that the client can choose from.
 */
const emit = defineEmits<{ add: [] }>()
const store = useWallStore()
const { comparing } = useComparison()
const wall = computed(() => store.wall!)
const arrays = computed(() => arraysOf(wall.value))
const current = computed(() => arrays.value.find(({ id }) => id === store.array?.id))
const displays = computed(() => store.catalogue.displays)
const fault = ref('')
function act(label: string, recipe: (wall: Wall) => void) {
  fault.value = store.edit(label, recipe).map(({ message }) => `${message}.`).join(' ')
}
function duplicate() {
  let added = ''
  act('Duplicate array', (wall) => { added = duplicateArray(wall, current.value!.id, displays.value) })
  if (!fault.value) store.arrayId = added
}
const ALIGN = [
  { edge: 'left', icon: AlignStartVertical, label: 'Align left edges' },
  { edge: 'centre', icon: AlignCenterVertical, label: 'Align vertical centre lines' },
  { edge: 'right', icon: AlignEndVertical, label: 'Align right edges' },
  { edge: 'top', icon: AlignStartHorizontal, label: 'Align top edges' },
  { edge: 'middle', icon: AlignCenterHorizontal, label: 'Align horizontal centre lines' },
  { edge: 'bottom', icon: AlignEndHorizontal, label: 'Align bottom edges' },
] as const
const SPREAD = [
  { axis: 'x', by: 'gaps', icon: AlignHorizontalSpaceBetween, label: 'Distribute horizontally, even gaps' },
  { axis: 'x', by: 'middles', icon: AlignHorizontalDistributeCenter, label: 'Distribute horizontally, even centres' },
  { axis: 'y', by: 'gaps', icon: AlignVerticalSpaceBetween, label: 'Distribute vertically, even gaps' },
  { axis: 'y', by: 'middles', icon: AlignVerticalDistributeCenter, label: 'Distribute vertically, even centres' },
] as const
const alternatives = computed(() => wall.value.alternatives ?? [])
const rename = (id: string, name: string) =>
  store.edit('Rename alternative', (wall) => {
    wall.alternatives!.find(each => each.id === id)!.name = name
  })
function show(id: string) {
  act('Show alternative', wall => showAlternative(wall, id))
  store.arrayId = ''
}
const chooseIt = (id: string) => act('Client’s choice', (wall) => {
  if (wall.chosen === id) delete wall.chosen
  else wall.chosen = id
})
</script>

<template>
  <div class="space-y-2.5">
    <ul class="max-h-40 space-y-1 overflow-y-auto" aria-label="Arrays on this wall" tabindex="0">
      <li v-for="array in arrays" :key="array.id">
        <button
          type="button"
          class="flex min-h-[var(--target)] w-full items-center justify-between gap-2 rounded border px-2 text-left
            text-sm"
          :class="current?.id === array.id ? 'border-pine bg-paper font-semibold' : 'border-hair bg-paper'"
          :aria-pressed="current?.id === array.id"
          @click="store.arrayId = array.id"
        >
          <span class="truncate">{{ array.name }}</span><span class="figures shrink-0">{{ array.rows }} ×
            {{ array.columns }}</span>
        </button>
      </li>
    </ul>
    <div class="grid grid-cols-4 gap-1">
      <button type="button" class="press !px-1" title="Add array" aria-label="Add array" @click="emit('add')">
        <Plus class="size-4" aria-hidden="true" />
      </button>
      <button
        type="button"
        class="press !px-1"
        :disabled="!current"
        title="Duplicate array"
        aria-label="Duplicate array"
        @click="duplicate"
      >
        <Copy class="size-4" aria-hidden="true" />
      </button>
      <button
        type="button"
        class="press !px-1"
        :disabled="!current"
        title="Mirror array about the wall centre"
        aria-label="Mirror array"
        @click="act('Mirror array', wall => mirrorArray(wall, current!.id, displays))"
      >
        <FlipHorizontal2 class="size-4" aria-hidden="true" />
      </button>
      <button
        type="button"
        class="press !px-1"
        :disabled="!current"
        title="Delete array"
        aria-label="Delete array"
        @click="act('Delete array', wall => removeArray(wall, current!.id))"
      >
        <Trash2 class="size-4" aria-hidden="true" />
      </button>
    </div>
    <TextField
      v-if="current"
      label="Array name"
      :value="current.name"
      :actions="{ commit: name => store.edit('Rename array', wall => { arrayOf(wall, current!.id).name = name }) }"
    />
    <template v-if="arrays.length > 1">
      <LengthField
        label="Clearance between arrays"
        :value="wall.clearance"
        :actions="{ commit: mm => store.edit('Clearance', wall => { wall.clearance = mm }) }"
      />
      <div class="grid grid-cols-5 gap-1" role="group" aria-label="Align and distribute arrays">
        <button
          v-for="{ edge, icon, label } in ALIGN"
          :key="edge"
          type="button"
          class="press !px-0"
          :title="label"
          :aria-label="label"
          @click="act(label, wall => alignArrays(wall, current!.id, edge, displays))"
        >
          <component :is="icon" class="size-4" aria-hidden="true" />
        </button>
        <button
          v-for="{ axis, by, icon, label } in SPREAD"
          :key="label"
          type="button"
          class="press !px-0"
          :disabled="arrays.length < 3"
          :title="label"
          :aria-label="label"
          @click="act(label, wall => distributeArrays(wall, axis, by, displays))"
        >
          <component :is="icon" class="size-4" aria-hidden="true" />
        </button>
      </div>
    </template>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <section class="border-t border-hair pt-2" aria-label="Alternatives">
      <h2 class="field-label">
        Alternatives for the client
      </h2>
      <ul class="space-y-1">
        <li v-for="each in alternatives" :key="each.id" class="flex items-center gap-1" :data-alternative="each.id">
          <input
            class="field-input !min-h-9 flex-1 !font-[inherit] text-sm"
            :class="{ 'border-pine font-semibold': each.id === wall.alternative }"
            :value="each.name"
            :aria-label="`Name of alternative ${each.name}`"
            @change="rename(each.id, ($event.target as HTMLInputElement).value.trim() || each.name)"
          >
          <button type="button" class="press !px-2" :disabled="each.id === wall.alternative" @click="show(each.id)">
            {{ each.id === wall.alternative ? 'Shown' : 'Show' }}
          </button>
          <button
            type="button"
            class="press !px-2"
            :class="{ 'press-first': wall.chosen === each.id }"
            :aria-pressed="wall.chosen === each.id"
            @click="chooseIt(each.id)"
          >
            {{ wall.chosen === each.id ? 'Chosen' : 'Choose' }}
          </button>
          <button
            type="button"
            class="p-1 disabled:opacity-30"
            :disabled="each.id === wall.alternative"
            :aria-label="`Delete alternative ${each.name}`"
            @click="act('Delete alternative', wall => removeAlternative(wall, each.id))"
          >
            <Trash2 class="size-4" aria-hidden="true" />
          </button>
        </li>
      </ul>
      <div class="mt-1 grid grid-cols-[3fr_2fr] gap-2">
        <button
          type="button"
          class="press !px-2"
          :disabled="arrays.length === 0"
          @click="act('Add alternative', addAlternative)"
        >
          <Plus class="size-4" aria-hidden="true" /> Add alternative
        </button>
        <button
          type="button"
          class="press"
          :disabled="alternatives.length < 2"
          :aria-pressed="comparing"
          @click="comparing = !comparing"
        >
          <GitCompareArrows class="size-4" aria-hidden="true" /> {{ comparing ? 'Close' : 'Compare' }}
        </button>
      </div>
    </section>
  </div>
</template>
