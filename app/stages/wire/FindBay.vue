<script setup lang="ts">
import { carriedTo, missesBay, type RoutePlan } from '~~/core/wire'

/**
 * How the bay of a route is found again from above or below, by a dimension or by a locator; and what to do when a tool
 * is lost in the wall.
 */
const { route } = defineProps<{ route: RoutePlan }>()
const store = useWallStore()
const { plan } = useWallPlan()
const { show, withUnit, fineWithUnit } = useUnits()
const { heard, hold, connected } = useLocator()
/** A simulated locator is of no real wall. */
const isDemo = computed(() => useWallStore().server?.job.site.demo === true)
const side = computed(() => route.way === 'below' ? 'below' as const : 'above' as const)
/** Where the route goes through the head or the foot of the wall; else where its box is. */
const x = computed(() => route.legs.find(({ method }) => method === 'bored plate')?.to.x ?? route.path.at(-1)?.x ?? 0)
const bay = computed(() => plan.value?.wiring.bays.find(({ from, to }) => x.value >= from && x.value <= to))
const carried = computed(() => store.wall ? carriedTo(store.wall, x.value, side.value).slice(0, 3) : [])
const found = ref<number>()
watch([() => route.id, heard], () => { found.value = heard.value })
const misses = computed(() =>
  bay.value && found.value !== undefined ? missesBay(bay.value, found.value, route.hole) : undefined,
)
const actions: FieldActions<number> = {
  commit: (mm) => {
    found.value = mm
    return []
  },
}
const nearerStud = computed(() => Math.min(found.value! - bay.value!.from, bay.value!.to - found.value!))
</script>

<template>
  <p v-if="route.way === 'surface'" class="text-sm">
    This route runs on the wall face: no stud bay to find.
  </p>
  <section v-else class="space-y-2 text-sm" data-testid="find-bay" :aria-label="`Find the stud bay from ${side}`">
    <p class="font-semibold">
      Seen from {{ side }}, the route is
    </p>
    <ul>
      <li v-for="each in carried" :key="each.from">
        <b class="figures">{{ fineWithUnit(Math.abs(each.off)) }}</b> to the {{ each.off >= 0 ? 'right' : 'left' }} of
        {{ each.from }}
      </li>
    </ul>
    <p v-if="bay" class="text-xs text-ink-soft">
      Measure from a reference visible on both floors. The stud bay is clear from {{ show(bay.from) }} to
      {{ withUnit(bay.to) }}.
    </p>
    <div class="grid grid-cols-2 items-end gap-2">
      <LengthField :key="`${route.id} ${found ?? ''}`" label="Located at, along" :value="found" :actions="actions" />
      <button v-if="isDemo" type="button" class="press" @click="hold(x)">
        {{ connected ? 'Take locator reading' : 'Use practice locator' }}
      </button>
    </div>
    <p v-if="misses !== undefined" role="status" :class="misses > 0 ? 'font-semibold text-stop' : 'text-good'">
      {{ misses > 0 ? `${fineWithUnit(misses)} outside the stud bay: do not bore there.`
        : `Within the stud bay, ${fineWithUnit(nearerStud)} from the nearer stud.` }}
    </p>
    <p class="text-xs text-ink-soft">
      If a tool is lost in the wall, stop and tie off its line outside. Try a magnet along the wall face, then a hook
      from the nearest opening. Leave the tool only if it is dry and touches no cable, and record it in the notes. Never
      pull on a cable that is caught on it.
    </p>
  </section>
</template>
