<script setup lang="ts">
import type { Method, RoutePlan } from '~~/core/wire'

/** The way of every cable through the wall, leg by leg; where a line stopped, blocking is entered and the next way is shown. */
const store = useWallStore()
const { plan } = useWallPlan()
const { show, showFine, suffix } = useUnits()
const { name } = usePreferences()
const { select, selectedOf } = useSelection()
const routes = computed(() => plan.value?.wiring.routes ?? [])
const route = computed(() => routes.value.find(({ to }) => to === selectedOf('box')) ?? routes.value[0])
const labelOf = computed(() => new Map(plan.value?.wiring.loads.map(({ screen, label }) => [screen, label])))
const nameOf = ({ to }: RoutePlan) => plan.value?.wiring.boxes.find(({ id }) => id === to)?.for.map(screen => labelOf.value.get(screen) ?? screen).join(', ') ?? to
const WAYS: Record<RoutePlan['way'], string> = { above: 'from above', below: 'from below', bay: 'in the wall', surface: 'on the face' }
const HOW: Record<Method, string> = {
  'drops': 'drops by itself: let a chain or the cable down the empty bay', 'weighted line': 'a weighted line past the insulation, on the side that the box opens to',
  'opening at blocking': 'let the line down; open the covering at the blocking, bore it, seal it, put the piece back', 'bored plate': 'bore the plate, 20 mm for one cable, and seal it',
  'across a stud': 'open at each stud, bore it in its middle, a steel plate where the hole is near the face', 'void': 'along the void', 'raceway': 'raceway on the face',
}

const OPEN = [{ value: '', label: 'not known' }, { value: 'open', label: 'open' }, { value: 'plenum', label: 'open, carries air' }, { value: 'none', label: 'closed' }]
type Side = 'above' | 'below'
function setVoid(side: Side, value: string) {
  return store.edit('What is open', (wall) => {
    const { [side]: _, ...other } = wall.void ?? {}
    wall.void = value ? { ...other, [side]: value as 'open' } : Object.keys(other).length > 0 ? other : undefined
    if (wall.void === undefined) delete wall.void
  })
}
const fault = ref('')
function tell(result: 'through' | 'stopped', y?: number): boolean {
  if (!name.value.trim()) fault.value = 'Write your name at the top first: the log keeps who found it.'
  else fault.value = store.record(name.value.trim(), { kind: 'fished', route: route.value!.id, result, ...y !== undefined && { y } }).map(({ message }) => message).join(' ')
  return fault.value === ''
}
const stop: FieldActions<number> = {
  commit: (y) => {
    if (y < 0 || y > store.wall!.height) return [{ path: '$', message: `the wall is ${show(store.wall!.height)} high` }]
    // What was typed stays until it can be kept.
    if (!tell('stopped', y)) return [{ path: '$', message: 'Not kept yet' }]
    return store.edit('Blocking that a line met', (wall) => { wall.blocking = [...wall.blocking ?? [], { id: nextId('k', wall.blocking), y, found: true }] })
  },
}
</script>

<template>
  <div class="space-y-2.5">
    <div class="grid grid-cols-2 gap-2">
      <ChoiceField label="Above the wall" :value="store.wall?.void?.above ?? ''" :options="OPEN" :commit="value => setVoid('above', value)" />
      <ChoiceField label="Below it" :value="store.wall?.void?.below ?? ''" :options="OPEN" :commit="value => setVoid('below', value)" />
    </div>
    <p v-if="routes.length === 0" class="text-sm">
      No way is known yet. It takes boxes in place, a circuit that feeds them, and what is open above or below.
    </p>
    <ul class="max-h-36 overflow-y-auto text-sm" aria-label="Ways to the boxes" tabindex="0">
      <li v-for="each in routes" :key="each.id">
        <button type="button" class="flex w-full justify-between gap-2 border-b border-hair py-1 text-left" :class="{ 'font-semibold': each.id === route?.id }" :aria-pressed="each.id === route?.id" @click="select('box', each.to)">
          <span>{{ nameOf(each) }}, {{ WAYS[each.way] }}</span><span class="figures text-ink-soft">{{ show(each.length) }}, {{ Math.round(each.minutes) }} min</span>
        </button>
      </li>
    </ul>
    <section v-if="route" data-testid="route-card" class="border-t border-hair pt-2" :aria-label="`Way to ${nameOf(route)}`">
      <ol class="list-decimal space-y-1 pl-5 text-sm">
        <li v-for="(leg, n) in route.legs" :key="n">
          <b class="figures">{{ leg.method === 'bored plate' ? '' : `${show(Math.hypot(leg.to.x - leg.from.x, leg.to.y - leg.from.y))}${suffix ? ` ${suffix}` : ''}: ` }}</b>{{ HOW[leg.method] }}, to {{ show(leg.to.x) }} along and {{ show(leg.to.y) }} up, {{ Math.round(leg.minutes) }} min
        </li>
      </ol>
      <p class="mt-1 text-sm">
        {{ route.openings.length }} {{ route.openings.length === 1 ? 'opening' : 'openings' }}, {{ route.seals }} {{ route.seals === 1 ? 'seal' : 'seals' }}, {{ route.patches }} {{ route.patches === 1 ? 'patch' : 'patches' }}; {{ route.people === 1 ? 'one person' : `${route.people} people` }} for the pull.<template v-if="route.otherwise">
          {{ WAYS[route.otherwise.way].replace('from', 'From') }} it would take {{ Math.round(route.otherwise.minutes) }} min.
        </template>
      </p>
      <p v-if="!store.wall?.blocking" class="text-xs text-ink-soft">
        Nobody looked for blocking: a line let down in one bay at {{ showFine(store.wall!.height / 2) }} saves most.
      </p>
      <div class="mt-2 grid grid-cols-2 items-end gap-2">
        <LengthField :key="`${route.id} ${store.wall?.blocking?.length ?? 0}`" label="It stopped at, above the floor" :value="undefined" :actions="stop" />
        <button type="button" class="press !min-h-12" @click="tell('through')">
          It went through
        </button>
      </div>
      <p v-if="fault" class="field-fault" role="alert">
        {{ fault }}
      </p>
    </section>
  </div>
</template>
