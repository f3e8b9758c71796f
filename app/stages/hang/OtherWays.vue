<script setup lang="ts">
import type { Mount } from '~~/core/job'
import type { Remedy } from '~~/core/plan/remedies'
import { plural } from '~~/core/units'
import { Cancelled } from '~/workers/pool'
import { tellsHere, useStudies } from '~/workers/useStudies'

/** What else could be done where a hole did not go as planned, each with what it costs; or stopping, and asking. */
const store = useWallStore()
const { asked } = useAnswer()
const { live, built, context } = useWallPlan()
const { offeredOf, take } = useModelChoice()
const { tell, fineWithUnit: far } = useUnits()
const studies = useStudies()
/** A crew at the wall waits so long for other ways, and then goes by what was found, ms. */
const WITHIN = 2_000
const found = shallowRef<Remedy[]>()
const fault = ref('')
/** The array of the hole that is asked about, or the first with a plate that is not held. */
const array = computed(() => {
  const plan
    = live.value?.arrays.find(({ positions }) =>
      positions.some(({ holes = [] }) => holes.some(({ id }) => id === asked.value?.hole)),
    ) ?? live.value?.arrays.find(({ positions }) => positions.some(({ plate }) => plate && !plate.held))
  return store.wall?.arrays.find(({ id }) => id === plan?.id)
})
watch([() => store.wall, () => array.value?.id], async (_now, _before, onCleanup) => {
  const outdated = new AbortController()
  const [wall, kept] = [store.wall, array.value]
  // Nothing of the plan is short of a fixing: there is nothing to look for.
  if (!wall || !kept) return void (found.value = [])
  found.value = undefined
  fault.value = ''
  // A worker that does not come up at all is not waited for either.
  const late = setTimeout(() => {
    outdated.abort()
    fault.value = 'Other remedies could not be calculated on this device within 3 s. Stop and ask; Mount lists them.'
  }, WITHIN + 1_000)
  onCleanup(() => {
    clearTimeout(late)
    outdated.abort()
  })
  try {
    const at = { wall: toRaw(wall), context: context.value, built: built.value }
    const offered = offeredOf('mount', kept.mount) as Mount[]
    const told = tellsHere(() => Promise.resolve())
    found.value = await studies.run(api => api.remedies(toRaw(kept), at, offered, WITHIN, told), outdated.signal)
  }
  catch (error) {
    if (!(error instanceof Cancelled)) fault.value = `The remedies could not be calculated: ${(error as Error).message}`
  }
  finally {
    clearTimeout(late)
  }
}, { immediate: true })
const cost = ({ held, total, stops, moves }: Remedy) =>
  [
    `fixes ${held} of ${total}`,
    stops.length > 0 ? `, ${plural(stops.length, 'stop')}` : '',
    moves
      ? `; ${plural(moves.plates, 'plate')} and ${plural(moves.marks, 'mark')} move, by ${far(moves.sum)} in total`
      : '',
  ].join('')
function choose(remedy: Remedy) {
  if (!array.value) return
  if (remedy.change.mount) take('mount', remedy.change.mount)
  const { id } = array.value
  fault.value = store
    .edit(tell(remedy.title), wall => applyRemedy(wall, id, remedy.change))
    .map(({ message }) => message)
    .join(' ')
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
        No other mount, fastener, board or slide in the catalogue fixes more plates here.
      </li>
    </ul>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
  </div>
</template>
