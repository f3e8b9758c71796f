<script setup lang="ts">
/** The way of every bundle through the wall: list, legs, what was met, and how a bay is found from above or below. */
const store = useWallStore()
const { plan } = useWallPlan()
const { routes, route, routeName, leg } = useWire()
const { show, showFine } = useUnits()
const { select } = useSelection()
const WAYS = { above: 'from above', below: 'from below', bay: 'in the wall', surface: 'on the face' } as const
const look = computed(() => plan.value?.wiring.look)
function choose(box: string) {
  select('box', box)
  leg.value = 0
}
</script>

<template>
  <div class="space-y-2.5">
    <WayIn class="max-md:hidden" />
    <p v-if="routes.length === 0" class="text-sm">
      No way is known yet. It takes boxes in place, a circuit or player that feeds them, and what is open above or below.
    </p>
    <ul v-else class="max-h-36 overflow-y-auto text-sm max-md:hidden" aria-label="Ways to the boxes" tabindex="0">
      <li v-for="each in routes" :key="each.id">
        <button type="button" class="flex w-full justify-between gap-2 border-b border-hair py-1 text-left" :class="{ 'font-semibold': each.id === route?.id }" :aria-pressed="each.id === route?.id" @click="choose(each.to)">
          <span>{{ routeName(each) }}, {{ WAYS[each.way] }}</span><span class="figures whitespace-nowrap text-ink-soft">{{ show(each.length) }}, {{ Math.round(each.minutes) }} min</span>
        </button>
      </li>
    </ul>
    <ChoiceField v-if="route" class="md:hidden" label="Route" :value="route.to" :options="routes.map(each => ({ value: each.to, label: `${routeName(each)}, ${WAYS[each.way]}` }))" :commit="(box) => { choose(box); return [] }" />
    <template v-if="route">
      <LegCard class="md:hidden" :route="route" />
      <section data-testid="route-card" class="border-t border-hair pt-2" :aria-label="`Way to ${routeName(route)}`">
        <RouteLegs class="max-md:hidden" :route="route" />
        <StoppedBar :route="route" />
        <p v-if="look && look.minutes >= 1" class="text-sm" data-testid="look-first">
          Look for blocking first in the bay at {{ showFine(look.x) }} along, at {{ showFine(look.y) }} up: it saves {{ Math.round(look.minutes) }} min on average.
        </p>
        <p v-else-if="!store.wall?.blocking && !store.wall?.passed" class="text-xs text-ink-soft">
          Nobody looked for blocking yet.
        </p>
      </section>
      <FindBay v-if="route.way !== 'surface'" :route="route" />
    </template>
    <WorksList v-if="routes.length > 0" class="max-md:hidden" />
    <p v-if="routes.length > 0" class="text-xs text-ink-soft max-md:hidden">
      On the drawing: yellow lines are power, blue ones signal; what drops by itself is a plain line. Bays are green where a line runs freely, yellow past insulation, red where the covering is opened.
    </p>
  </div>
</template>
