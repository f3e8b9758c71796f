<script setup lang="ts">
import { Eye, Undo2 } from 'lucide-vue-next'
import type { Carrier, Mount } from '~~/core/job'
import type { Remedy } from '~~/core/plan/remedies'
import { Cancelled } from '~/workers/pool'
import { tellsHere, useStudies } from '~/workers/useStudies'

/** What else would hold the array: each way calculated, drawn on request, and taken with one click. */
const store = useWallStore()
const { array, positions, held } = usePlates()
const { built, context } = useWallPlan()
const studies = useStudies()
const { offeredOf, take } = useModelChoice()
const { tell, unitOf, typed, readIn } = useUnits()
const found = shallowRef<Remedy[]>()
const drawn = ref('')
const failed = ref('')
/** How far the search is, 0 to 1. */
const progress = ref(1)
/** A way that reaches all members and has a stop all the same does not hold. */
function verdictOf({ held, total, stops }: Remedy): { good: boolean, text: string } {
  if (held < total) return { good: false, text: `fixes ${held} of ${total}` }
  return stops.length === 0
    ? { good: true, text: 'fixes all' }
    : { good: false, text: stops.length === 1 ? '1 stop' : `${stops.length} stops` }
}
const key = ({ kind, change }: Remedy) => `${kind} ${JSON.stringify(change)}`

/** So many plates are planned through again and again in a moment; more only when it is asked for. */
const MANY = 300
const asked = ref(false)
const waits = computed(() => positions.value.length > MANY && !asked.value)
/** Worked out anew for what is kept; a way that is only drawn changes nothing of the others. */
watch([() => store.wall, () => array.value?.id, waits], async (_now, _before, onCleanup) => {
  const [wall, id] = [store.wall, array.value?.id]
  const outdated = new AbortController()
  onCleanup(() => outdated.abort())
  const kept = wall?.arrays.find(each => each.id === id)
  drawn.value = failed.value = ''
  if (!wall || !kept || waits.value) return
  progress.value = 0
  const tells = (share: number) => Promise.resolve(void (outdated.signal.aborted || (progress.value = share)))
  try {
    const at = { wall: toRaw(wall), context: context.value, built: built.value }
    const offered = offeredOf('mount', kept.mount) as Mount[]
    found.value = await studies.run(
      api => api.remedies(toRaw(kept), at, offered, Infinity, tellsHere(tells)),
      outdated.signal,
    )
    progress.value = 1
  }
  catch (error) {
    if (!(error instanceof Cancelled)) failed.value = (error as Error).message
  }
}, { immediate: true })
onScopeDispose(() => drawn.value && store.cancelPreview())

/** Models that a way needs come to the site's catalogue with it. */
function apply({ change }: Remedy) {
  if (change.mount) take('mount', change.mount)
  return (wall: Parameters<typeof arrayOf>[0]) => applyRemedy(wall, array.value!.id, change)
}
function draw(remedy: Remedy) {
  const was = drawn.value
  store.cancelPreview()
  drawn.value = was === key(remedy) ? '' : key(remedy)
  if (drawn.value) store.tryOut(apply(remedy))
}
const faults = ref<string>('')
function choose(remedy: Remedy) {
  faults.value = faultText(store.edit(tell(remedy.title), apply(remedy)))
}
const carrier = computed(() => array.value?.carrier)
const edit = (label: string, recipe: (carrier: Carrier) => void) =>
  store.edit(label, wall => recipe(arrayOf(wall, array.value!.id).carrier!))
const onWall = () =>
  store.edit('Fix plates directly to wall', (wall) => {
    delete arrayOf(wall, array.value!.id).carrier
  })
const ownSlots = () => store.edit('Use default slots', (wall) => { delete arrayOf(wall, array.value!.id).needs })
/** A figure of a maker's table; empty where it is not known. */
const readAbove = (unit: string) => readIn(unit, value => value > 0)
</script>

<template>
  <div v-if="array" class="space-y-2.5">
    <template v-if="carrier">
      <h2 class="text-sm font-semibold">
        Plates fixed to {{ carrier.kind === 'rail' ? 'rails' : 'a board' }}
      </h2>
      <div class="grid grid-cols-2 gap-2">
        <LengthField
          label="Stand-off"
          :value="carrier.thickness"
          :actions="{ commit: mm => edit('Thickness', carrier => { carrier.thickness = mm }) }"
        />
        <LengthField
          v-if="carrier.kind === 'rail'"
          label="Rail height"
          :value="carrier.height"
          :actions="{ commit: mm => edit('Rail', carrier => { carrier.height = mm }) }"
        />
        <LengthField
          v-if="carrier.kind === 'rail'"
          label="Steel thickness"
          :value="carrier.web"
          :actions="{ commit: mm => edit('Rail', carrier => { carrier.web = mm }) }"
        />
        <TypedField
          :label="`Bolt tension (${unitOf('N')})`"
          :shown="typed(carrier.bolt?.tension, 'N')"
          :read="readAbove('N')"
          :actions="{ commit: (tension: number | undefined) =>
            edit('Bolt', carrier => { carrier.bolt = { ...carrier.bolt, tension } }) }"
        />
        <TypedField
          :label="`Bolt shear (${unitOf('N')})`"
          :shown="typed(carrier.bolt?.shear, 'N')"
          :read="readAbove('N')"
          :actions="{ commit: (shear: number | undefined) =>
            edit('Bolt', carrier => { carrier.bolt = { ...carrier.bolt, shear } }) }"
        />
        <TypedField
          v-if="carrier.kind === 'rail'"
          :label="`Allowable moment (${unitOf('N·m')})`"
          :shown="typed(carrier.moment, 'N·m')"
          :read="readAbove('N·m')"
          :actions="{ commit: (value: number | undefined) => edit('Rail', carrier => { carrier.moment = value }) }"
        />
      </div>
      <p class="text-xs text-ink-soft">
        Allowable loads for one bolt between plate and {{ carrier.kind }}, from the maker: slip and pull-out of channel
        nuts, or of tee nuts in a board.
      </p>
      <button type="button" class="press w-full" @click="onWall">
        <Undo2 class="size-4" aria-hidden="true" /> Fix directly to wall
      </button>
    </template>
    <div v-if="array.needs" class="flex items-center justify-between gap-2 text-sm">
      <span>Studs: {{ array.needs.members }}, slot rows: {{ array.needs.rows.join(', ') }}; not the mount’s
        default</span>
      <button type="button" class="press" @click="ownSlots">
        Use default
      </button>
    </div>
    <progress
      v-if="!failed && !waits"
      class="block h-1 w-full"
      :class="{ invisible: progress === 1 }"
      :value="progress"
      aria-label="Calculating remedies"
    />
    <p v-if="failed" class="field-fault" role="alert">
      The remedies could not be calculated: {{ failed }}
    </p>
    <button v-else-if="waits" type="button" class="press w-full" @click="asked = true">
      Find remedies
    </button>
    <p v-else-if="!found" class="text-sm text-ink-soft" role="status">
      Calculating remedies…
    </p>
    <p v-else-if="found.length === 0" class="text-sm" data-testid="no-other-way">
      {{ held === positions.length ? 'All plates are fixed. No remedy is needed.'
        : 'No known remedy fixes more plates. Survey more studs, or move the displays.' }}
    </p>
    <ul v-else class="max-h-[26rem] space-y-2 overflow-y-auto" tabindex="0" aria-label="Remedies">
      <li
        v-for="remedy in found"
        :key="key(remedy)"
        class="rounded border bg-paper px-2 py-1.5 text-sm"
        :class="drawn === key(remedy) ? 'border-flag' : 'border-hair'"
        :data-remedy="remedy.kind"
      >
        <p class="flex justify-between gap-2 font-semibold">
          <span>{{ tell(remedy.title) }}</span><span
            class="shrink-0"
            :class="verdictOf(remedy).good ? 'text-good' : 'text-caution'"
          >{{ verdictOf(remedy).text }}</span>
        </p>
        <ul class="mt-0.5 text-xs text-ink-soft">
          <li v-for="(says, n) in remedy.says" :key="n">
            {{ tell(says) }}
          </li>
          <li v-if="remedy.held === remedy.total && remedy.stops[0]" class="font-semibold text-stop">
            {{ tell(remedy.stops[0]) }}{{ remedy.stops.length > 1 ? ` And ${remedy.stops.length - 1} more.` : '' }}
          </li>
        </ul>
        <div class="mt-1.5 grid grid-cols-2 gap-2">
          <button type="button" class="press" :aria-pressed="drawn === key(remedy)" @click="draw(remedy)">
            <Eye class="size-4" aria-hidden="true" /> {{ drawn === key(remedy) ? 'Hide preview' : 'Preview' }}
          </button>
          <button type="button" class="press press-first" @click="choose(remedy)">
            Apply remedy
          </button>
        </div>
      </li>
    </ul>
    <p v-if="faults" class="field-fault" role="alert">
      {{ faults }}
    </p>
  </div>
</template>
