<script setup lang="ts">
import type { RoutePlan } from '~~/core/wire'

/**
 * At the wall: the line stopped, and how high, told on the drawing or typed; or it went through. Either is entered in
 * the wall and the log, and the next way is planned at once.
 */
const { route } = defineProps<{ route: RoutePlan }>()
const store = useWallStore()
const { plan } = useWallPlan()
const { stopping, stoppedAt } = useWire()
const { show, system, withUnit } = useUnits()
const NUDGE = computed(() => system.value === 'metric' ? 25 : 25.4)
const fault = ref('')
const done = ref('')
const lost = ref<'' | 'weight' | 'rod'>('')
const LOST = [
  { value: '', label: 'nothing' },
  { value: 'weight', label: 'a weight' },
  { value: 'rod', label: 'a rod or its end' },
]
/** Blocking in the bays of this route behind which a weight or a rod still is. */
const behind = computed(() => (store.wall?.blocking ?? []).filter(({ lost: left, y, x1 = -Infinity, x2 = Infinity }) =>
  left !== undefined
  && route.legs.some(({ lost: here, to }) => here !== undefined && Math.abs(to.y - y) < 1 && to.x > x1 && to.x < x2)))

function tell(result: 'through' | 'stopped', y?: number): boolean {
  done.value = ''
  fault.value = store
    .record({
      kind: 'fished',
      route: route.id,
      result,
      ...(y !== undefined && { y }),
      ...(result === 'stopped' && lost.value && { lost: lost.value }),
    })
    .map(({ message }) => message)
    .join(' ')
  return fault.value === ''
}
const bays = () => plan.value?.wiring.bays ?? []
/** The bay in which the route is at a height: blocking is found there, and is only likely elsewhere. */
function bayAt(y: number) {
  const leg = route.legs.find(
    ({ from, to }) => Math.min(from.y, to.y) <= y && y <= Math.max(from.y, to.y) && Math.abs(from.y - to.y) > 1,
  )
  return leg && bays().find(({ from, to }) => leg.from.x >= from && leg.from.x <= to)
}
function stop(y: number) {
  if (y < 0 || y > store.wall!.height)
    return [{ path: '$', message: `the wall is only ${withUnit(store.wall!.height)} high` }]
  // What was typed stays until it can be kept.
  if (!tell('stopped', y)) return [{ path: '$', message: 'Not saved yet' }]
  const [bay, left] = [bayAt(y), lost.value || undefined]
  const faults = store.edit('Blocking found by pull line', wall => enterStopped(wall, y, bay, left))
  lost.value = ''
  stopping.value = false
  stoppedAt.value = undefined
  done.value = `Blocking entered at ${withUnit(y)}. The route is recalculated.`
  return faults
}
function recovered(id: string) {
  store.edit('Lost tool recovered', wall => enterRecovered(wall, id))
  done.value = 'Recorded: nothing is left behind the blocking.'
}
function through() {
  if (!tell('through')) return
  store.edit('Pull line passed', wall => enterPassed(wall, route, bays()))
  done.value = 'Recorded: the stud bay is clear on this route.'
}
watch(() => route.id, () => { fault.value = done.value = '' })
</script>

<template>
  <div>
    <div class="grid grid-cols-2 items-end gap-2">
      <button
        type="button"
        class="press !min-h-12 border-stop! text-stop!"
        :aria-pressed="stopping"
        @click="stopping = !stopping; stoppedAt = undefined"
      >
        Line blocked
      </button>
      <button type="button" class="press !min-h-12" @click="through">
        Line through
      </button>
    </div>
    <ChoiceField
      v-if="stopping"
      class="mt-1"
      label="Left behind the blockage"
      :value="lost"
      :options="LOST"
      :commit="value => { lost = value as typeof lost; return [] }"
    />
    <div
      v-if="stopping"
      class="mt-1 grid gap-2"
      :class="stoppedAt === undefined ? 'grid-cols-1' : 'grid-cols-2 items-end'"
    >
      <LengthField
        :key="`${route.id} ${store.wall?.blocking?.length ?? 0} ${stoppedAt ?? ''}`"
        label="Blockage above floor"
        hint="Or tap the position on the drawing"
        :value="stoppedAt"
        :actions="{ commit: stop }"
      />
      <button v-if="stoppedAt !== undefined" type="button" class="press press-first !min-h-12" @click="stop(stoppedAt)">
        Record blockage
      </button>
      <template v-if="stoppedAt !== undefined">
        <button
          v-for="by in [-NUDGE, NUDGE]"
          :key="by"
          type="button"
          class="press"
          @click="stoppedAt = Math.max(0, stoppedAt! + by)"
        >
          {{ by > 0 ? '+' : '−' }}{{ show(Math.abs(by)) }}
        </button>
      </template>
    </div>
    <div
      v-for="row in behind"
      :key="row.id"
      class="mt-1 space-y-1 border-l-4 border-caution bg-paper px-2 py-1 text-sm"
      data-testid="lost"
    >
      <p>
        <b>A {{ row.lost }} is behind the blocking at {{ withUnit(row.y) }}.</b> Open the covering there, bore a second
        hole beside the first, lower a magnet on a line, draw the {{ row.lost }} to the holes and pull it out. A weight
        that no magnet draws: catch it with a hooked rod. Seal both holes.
      </p>
      <button type="button" class="press !min-h-12" @click="recovered(row.id)">
        Mark as recovered
      </button>
    </div>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <p v-if="done" class="mt-1 border-l-4 border-good bg-good-wash px-2 py-1 text-sm" role="status">
      {{ done }}
    </p>
  </div>
</template>
