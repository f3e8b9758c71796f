<script setup lang="ts">
import { timeOf, type RoutePlan } from '~~/core/wire'

/** A route leg by leg: how, how far, how long; and what it takes in all. */
const { route } = defineProps<{ route: RoutePlan }>()
const { bit, withUnit } = useUnits()
const { leg: current } = useWire()
const far = ({ from, to }: RoutePlan['legs'][number]) => Math.hypot(to.x - from.x, to.y - from.y)
const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`
</script>

<template>
  <div class="max-h-40 overflow-y-auto" tabindex="0" role="group" aria-label="Legs of the route">
    <ol class="space-y-1 text-sm">
      <li
        v-for="(leg, n) in route.legs"
        :key="n"
        class="flex items-start gap-2"
        :class="{ 'font-semibold': n === current }"
      >
        <span class="figures w-3 shrink-0 text-right">{{ n + 1 }}</span>
        <button type="button" class="text-left" @click="current = n">
          <b v-if="far(leg) > 1" class="figures">{{ withUnit(far(leg)) }}: </b>{{ howLeg(leg, bit, withUnit) }}, to
          {{ withUnit(leg.to.x) }} along, {{ withUnit(leg.to.y) }} up; {{ Math.round(leg.minutes) }} min
        </button>
      </li>
    </ol>
    <p class="mt-1 text-sm">
      {{ count(route.openings.length, 'opening', 'openings') }}, {{ count(route.seals, 'seal', 'seals') }},
      {{ count(route.patches, 'patch', 'patches') }}<template v-if="route.guards">, {{ route.guards }} nail
        plates</template>; {{ route.people === 1 ? 'one person' : `${route.people} people` }} for the
      pull.{{ route.seen > 1 ? ` ${withUnit(route.seen)} visible.` : '' }}
    </p>
    <FigureLine label="Time for this route" :figure="timeOf(route)" />
    <p v-if="route.otherwise" class="mt-1 text-sm" data-testid="otherwise">
      From {{ route.otherwise.way }}: {{ Math.round(route.otherwise.minutes) }} min,
      {{ count(route.otherwise.openings, 'opening', 'openings') }}, {{ count(route.otherwise.seals, 'seal', 'seals') }},
      {{ count(route.otherwise.patches, 'patch', 'patches') }}.
    </p>
  </div>
</template>
