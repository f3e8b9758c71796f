<script setup lang="ts">
/**
 * The way of every bundle through the wall: its legs and what was met, how its bay is found, what all of them take, and
 * what they rest on.
 */
const { plan } = useWallPlan()
const { routes, route, routeName, leg } = useWire()
const { withUnit, fineWithUnit } = useUnits()
const { select } = useSelection()
const WAYS = { above: 'from above', below: 'from below', bay: 'in the wall', surface: 'on the wall face' } as const
const PARTS = [
  { id: 'legs', title: 'Legs' },
  { id: 'bay', title: 'Find bay' },
  { id: 'works', title: 'All work' },
  { id: 'given', title: 'Conditions' },
] as const
const part = useScreenState<typeof PARTS[number]['id']>('wire-route-part', () => 'legs')
const shown = computed(() => routes.value.length === 0 ? 'given' : part.value)
const look = computed(() => plan.value?.wiring.look)
const titleOf = (each: typeof routes.value[number]) => `${routeName(each)}, ${WAYS[each.way]}`
function choose(id: string) {
  select('route', id)
  leg.value = 0
}
</script>

<template>
  <div class="space-y-2">
    <p v-if="routes.length === 0" class="text-sm">
      No routes yet. Place the boxes, add a circuit or player, and enter the access above or below the wall.
    </p>
    <template v-else>
      <ul class="max-h-24 overflow-y-auto text-sm max-md:hidden" aria-label="Routes to the boxes" tabindex="0">
        <li v-for="each in routes" :key="each.id">
          <button
            type="button"
            class="flex w-full justify-between gap-2 border-b border-hair py-0.5 text-left"
            :class="{ 'font-semibold': each.id === route?.id }"
            :aria-pressed="each.id === route?.id"
            @click="choose(each.id)"
          >
            <span>{{ titleOf(each) }}</span><span
              class="figures whitespace-nowrap text-ink-soft"
            >{{ withUnit(each.length) }},
              {{ Math.round(each.minutes) }} min</span>
          </button>
        </li>
      </ul>
      <ChoiceField
        v-if="route"
        class="md:hidden"
        label="Route"
        :value="route.id"
        :options="routes.map(each => ({ value: each.id, label: titleOf(each) }))"
        :commit="(id) => { choose(id); return [] }"
      />
      <BenchPanels v-model="part" :panels="PARTS" label="Route sections" />
    </template>
    <section
      v-if="route && shown === 'legs'"
      data-testid="route-card"
      class="space-y-2"
      :aria-label="`Route to ${routeName(route)}`"
    >
      <LegCard class="md:hidden" :route="route" />
      <RouteLegs class="max-md:hidden" :route="route" />
      <StoppedBar v-if="route.way !== 'surface'" :route="route" />
    </section>
    <FindBay v-else-if="route && shown === 'bay'" :route="route" />
    <WorksList v-else-if="shown === 'works'" />
    <template v-else>
      <WayIn />
      <p v-if="look && look.minutes >= 1" class="text-sm" data-testid="look-first">
        Check the stud bay at {{ fineWithUnit(look.x) }} along, {{ fineWithUnit(look.y) }} up for blocking first: this
        saves {{ Math.round(look.minutes) }} min on average.
      </p>
    </template>
  </div>
</template>
