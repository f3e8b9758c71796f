<script setup lang="ts">
import type { Mount } from '~~/core/job'
import { RESULT_NAMES, stepName } from '~~/core/log'
import type { Remedy } from '~~/core/plan/remedies'
import { Cancelled } from '~/workers/pool'
import { tellsHere, useStudies } from '~/workers/useStudies'

/** What else could be done where a hole did not go as planned, each with what it costs; or stopping, and asking. */
const emit = defineEmits<{ done: [] }>()
const store = useWallStore()
const { asked } = useAnswer()
const { live, built, context, steps } = useWallPlan()
const { offeredOf, take } = useModelChoice()
const { tell, fineWithUnit: far } = useUnits()
const studies = useStudies()
const found = shallowRef<Remedy[]>()
const fault = ref('')
/** The array of the hole that is asked about, or the first with a plate that is not held. */
const array = computed(() => {
  const plan = live.value?.arrays.find(({ positions }) => positions.some(({ holes = [] }) => holes.some(({ id }) => id === asked.value?.hole))) ?? live.value?.arrays.find(({ positions }) => positions.some(({ plate }) => plate && !plate.held))
  return store.wall?.arrays.find(({ id }) => id === plan?.id)
})
watch([() => store.wall, () => array.value?.id], async (_now, _before, onCleanup) => {
  const outdated = new AbortController()
  onCleanup(() => outdated.abort())
  const [wall, kept] = [store.wall, array.value]
  if (!wall || !kept) return
  try {
    const at = { wall: toRaw(wall), context: context.value, built: built.value }
    const offered = offeredOf('mount', kept.mount) as Mount[]
    const told = tellsHere(() => Promise.resolve())
    found.value = await studies.run(api => api.remedies(toRaw(kept), at, offered, told), outdated.signal)
  }
  catch (error) {
    if (!(error instanceof Cancelled)) fault.value = `The remedies could not be calculated: ${(error as Error).message}`
  }
}, { immediate: true })
const cost = ({ held, total, stops, moves }: Remedy) => `fixes ${held} of ${total}${stops.length > 0 ? `, ${stops.length} ${stops.length === 1 ? 'stop' : 'stops'}` : ''}${moves ? `; ${moves.plates} plates and ${moves.marks} marks move, by ${far(moves.sum)} in total` : ''}`
function choose(remedy: Remedy) {
  if (!array.value) return
  if (remedy.change.mount) take('mount', remedy.change.mount)
  const { id } = array.value
  fault.value = store.edit(tell(remedy.title), wall => applyRemedy(wall, id, remedy.change)).map(({ message }) => message).join(' ')
}
function stopAndAsk() {
  const hole = asked.value?.hole ?? ''
  const label = steps.value.find(each => each.hole.id === hole)?.label ?? hole
  const faults = store.record({ kind: 'step', step: stepName({ kind: 'ask', id: hole || 'wall' }), done: false, note: `${label}${asked.value ? ` ${RESULT_NAMES[asked.value.result]}` : ''}: what is to be done?` })
  fault.value = faults.map(({ message }) => message).join(' ')
  if (faults.length === 0) emit('done')
}
</script>

<template>
  <div class="mt-2 border-t border-hair pt-1.5" data-testid="other-ways">
    <p v-if="!found && !fault" role="status">
      Calculating other remedies…
    </p>
    <ul v-else class="space-y-2">
      <li v-for="remedy in found" :key="`${remedy.kind} ${tell(remedy.title)}`" :data-remedy="remedy.kind">
        <p class="font-semibold">
          {{ tell(remedy.title) }}
        </p>
        <p>{{ cost(remedy) }}. {{ tell(remedy.says[0]!) }}</p>
        <button v-if="store.rights('wall.design')" type="button" class="press mt-1 !min-h-12" @click="choose(remedy)">
          Apply remedy
        </button>
      </li>
      <li v-if="found?.length === 0">
        No known remedy fixes more plates.
      </li>
    </ul>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <button type="button" class="press mt-2 w-full !min-h-12" @click="stopAndAsk">
      Stop and ask
    </button>
  </div>
</template>
