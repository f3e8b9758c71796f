<script setup lang="ts">
import { LEG_NAMES, type RoutePlan } from '~~/core/wire'

/** One leg of a route at a time, to be read at arm's length at the wall. */
const { route } = defineProps<{ route: RoutePlan }>()
const { show, suffix, bit, withUnit } = useUnits()
const { leg: current } = useWire()
const leg = computed(() => route.legs[Math.min(current.value, route.legs.length - 1)])
const far = computed(() =>
  leg.value ? Math.hypot(leg.value.to.x - leg.value.from.x, leg.value.to.y - leg.value.from.y) : 0,
)
const has = () => route.legs.length > 1
const go = (by: number) => { current.value = Math.min(Math.max(current.value + by, 0), route.legs.length - 1) }
useCommands([
  { id: 'leg-next', title: 'Next leg of the route', group: 'Wire', keys: ['pagedown'], when: has, run: () => go(1) },
  { id: 'leg-back', title: 'Previous leg of the route', group: 'Wire', keys: ['pageup'], when: has, run: () => go(-1) },
])
</script>

<template>
  <section v-if="leg" data-testid="leg-card" :aria-label="`Leg ${current + 1} of ${route.legs.length}`">
    <p class="flex items-baseline justify-between gap-2">
      <b class="text-lg">{{ Math.min(current, route.legs.length - 1) + 1 }} of {{ route.legs.length }}:
        {{ LEG_NAMES[leg.method] }}</b>
      <span
        v-if="far > 1"
        class="figures whitespace-nowrap text-2xl font-semibold"
      >{{ show(far) }}<small class="ml-1 text-sm font-normal">{{ suffix }}</small></span>
    </p>
    <p class="text-sm">
      {{ howLeg(leg, bit, withUnit).replace(/^./, letter => letter.toUpperCase()) }}.
      <span class="figures">To {{ show(leg.to.x) }} along, {{ show(leg.to.y) }} up.</span>
    </p>
    <BackNext class="mt-1.5" :first="current === 0" :last="current >= route.legs.length - 1" @go="go" />
  </section>
</template>
