<script setup lang="ts">
import { Trash2, Undo2 } from 'lucide-vue-next'
import type { Evidence, Wall } from '~~/core/job'
import { usePhoto } from '~/sync/usePhoto'
import { carriedFigure, handNameOn, METHOD_NAMES, referenceOf } from '~~/core/survey'

/** One reading: where it is, whether it counts, and its picture. */
const { id } = defineProps<{ id: string }>()
const store = useWallStore()
const { piece } = usePiece()
const { plan } = useWallPlan()
const { clear } = useSelection()
const reading = computed(() => store.wall!.evidence!.find(reading => reading.id === id)!)
const reference = computed(() => referenceOf(reading.value, store.wall!.references))
const set = (label: string, recipe: (reading: Evidence, wall: Wall) => void, of = id) =>
  store.edit(label, wall => recipe(readingOf(wall, of), wall))
/** A figure of the reading: the drawing follows while it is typed. */
const figureOf = (label: string, recipe: (reading: Evidence, mm: number) => void): FieldActions<number> => ({
  tryOut: mm => store.tryOut(wall => recipe(readingOf(wall, id), mm)),
  commit: mm => set(label, reading => recipe(reading, mm)),
})
const reason = ref('')
const fault = ref('')
const photoFault = ref('')
watch(() => id, () => {
  reason.value = ''
  fault.value = photoFault.value = ''
})
function setAside() {
  if (!reason.value.trim()) return void (fault.value = 'Enter a reason.')
  set('Exclude reading', (reading, wall) => {
    handNameOn(wall.evidence!, id, plan.value?.members ?? [])
    reading.setAside = reason.value.trim()
  })
  reason.value = fault.value = ''
}
function remove() {
  store.edit('Delete reading', (wall) => {
    handNameOn(wall.evidence!, id, plan.value?.members ?? [])
    wall.evidence = wall.evidence?.filter(reading => reading.id !== id)
  })
  clear()
}
const photo = usePhoto(() => store.site, () => reading.value?.photo)
function addPhoto(name: string, of: string) {
  const faults = set('Add photo', (reading) => { reading.photo = name }, of)
  photoFault.value = faultText(faults)
}
const answer = computed(() => {
  const { hit, dull, edge, direction } = reading.value
  return [
    edge,
    hit === undefined ? '' : hit ? 'hit' : 'miss',
    dull === undefined ? '' : dull ? 'dull' : 'hollow',
    direction,
  ]
    .filter(Boolean)
    .join(', ')
})
</script>

<template>
  <section class="border-t border-hair pt-2" data-testid="reading-card" :aria-label="`Reading ${id}`">
    <h2 class="text-sm font-semibold">
      {{ id }}: {{ METHOD_NAMES[reading.method] }}<template v-if="answer">,
        {{ answer }}</template><template v-if="reading.side === 'back'">, rear</template>
    </h2>
    <p class="text-xs text-ink-soft">
      {{ [reading.by, reading.at ? whenOf(reading.at) : ''].filter(Boolean).join(', ') || 'name not known' }}
    </p>
    <div class="mt-1 grid grid-cols-2 gap-3">
      <LengthField
        :key="`x${id}`"
        :label="reading.side === 'back' ? 'Along, measured at rear' : 'From wall left'"
        :value="reading.x"
        :actions="figureOf('Move reading', (reading, mm) => { reading.x = mm })"
      />
      <LengthField
        :key="`y${id}`"
        label="Height above floor"
        :value="reading.y"
        :actions="figureOf('Reading height', (reading, mm) => { reading.y = mm })"
      />
    </div>
    <FigureLine
      v-if="reading.side === 'back' && reference"
      label="Position at front"
      :figure="carriedFigure(reference, reading.x)"
    />
    <p v-if="plan?.unexplained.includes(id)" class="mt-1 text-xs font-semibold text-caution">
      No {{ piece }} explains this reading.
    </p>
    <div v-if="reading.setAside !== undefined" class="mt-1 text-xs">
      Excluded: {{ reading.setAside }}
      <button
        type="button"
        class="press mt-1 w-full"
        @click="set('Include reading', (reading) => { delete reading.setAside })"
      >
        <Undo2 class="size-4" aria-hidden="true" /> Include reading
      </button>
    </div>
    <form v-else class="mt-1" @submit.prevent="setAside">
      <FieldFrame :id="`aside-${id}`" label="Reason for excluding" :fault="fault">
        <div class="flex gap-2">
          <input :id="`aside-${id}`" v-model="reason" class="field-input !font-[inherit] text-sm" autocomplete="off">
          <button type="submit" class="press">
            Exclude
          </button>
        </div>
      </FieldFrame>
    </form>
    <a v-if="reading.photo" :href="photo.whole.value" target="_blank" rel="noopener">
      <img :src="photo.small.value" :alt="`Photo of reading ${id}`" class="mt-1 max-h-24 rounded border border-hair">
    </a>
    <div class="mt-1 flex gap-2">
      <PhotoButton
        class="flex-1"
        :of="id"
        :site="store.site"
        :label="reading.photo ? 'Replace photo' : 'Add photo'"
        :take="addPhoto"
      />
      <button type="button" class="press flex-1" @click="remove">
        <Trash2 class="size-4" aria-hidden="true" /> Delete
      </button>
    </div>
    <p v-if="photoFault" class="field-fault" role="alert">
      {{ photoFault }}
    </p>
  </section>
</template>
