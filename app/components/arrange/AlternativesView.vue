<script setup lang="ts">
import { compareWall } from '~~/core/arrange'
import { wrap } from 'comlink'
import type { WallPlan } from '~~/core/plan'
import { asBuilt } from '~~/core/log'
import type { Planner } from '~/workers/planner.worker'

/** The alternatives of a wall beside each other: as drawings, and by the figures that a client weighs. */
const store = useWallStore()
const { tell, system } = useUnits()
const worker = new Worker(new URL('../../workers/planner.worker.ts', import.meta.url), { type: 'module' })
const planner = wrap<Planner>(worker)
onScopeDispose(() => worker.terminate())
const ways = shallowRef<{ id: string, name: string, plan: WallPlan, lines: { what: string, text: string }[] }[]>([])
watch([() => store.wall, system], async ([wall]) => {
  if (!wall) return
  const planned = []
  for (const alternative of wall.alternatives ?? []) {
    const other = wallWith(wall, alternative)
    const plan = await planner.plan(toRaw(other), { catalogue: toRaw(store.catalogue), rules: toRaw(store.rules), site: { units: store.siteUnits } }, asBuilt(store.allLog, store.id))
    const holes = plan.arrays.reduce((sum, { positions }) => sum + positions.reduce((n, position) => n + (position.holes?.length ?? 0), 0), 0)
    const stops = plan.findings.filter(({ severity }) => severity === 'stop').length
    planned.push({ id: alternative.id, name: alternative.name, plan, lines: compareWall(other, store.catalogue, holes, stops).map(({ what, text }) => ({ what, text: tell(text) })) })
  }
  // A newer edit may have been planned meanwhile.
  if (store.wall === wall) ways.value = planned
}, { immediate: true })
const wall = computed(() => store.wall!)
</script>

<template>
  <section class="h-full overflow-auto p-4" tabindex="0" aria-label="Alternatives" data-testid="alternatives">
    <p class="mb-2 text-xs text-ink-soft">
      Each way as it would be planned now; lengths in {{ system === 'metric' ? 'mm' : 'feet and inches' }}. Show one to work on it, choose one for the client.
    </p>
    <div class="grid gap-4" :style="{ gridTemplateColumns: `repeat(${Math.max(ways.length, 1)}, minmax(220px, 1fr))` }">
      <article v-for="way in ways" :key="way.id" class="bg-board p-3" :data-way="way.id">
        <h2 class="flex items-baseline justify-between text-lg font-bold">
          {{ way.name }} <span class="text-xs font-normal text-ink-soft">{{ [way.id === wall.alternative ? 'shown' : '', way.id === wall.chosen ? 'chosen' : ''].filter(Boolean).join(', ') }}</span>
        </h2>
        <svg :viewBox="`-40 ${-wall.height - 40} ${wall.width + 80} ${wall.height + 80}`" class="mt-2 max-h-72 w-full" role="img" :aria-label="`Elevation of ${way.name}`">
          <rect x="0" :y="-wall.height" :width="wall.width" :height="wall.height" fill="var(--color-wall)" stroke="var(--color-ink)" stroke-width="1.5" vector-effect="non-scaling-stroke" />
          <rect v-for="feature in wall.features" :key="feature.id" :x="feature.x" :y="-feature.y - feature.height" :width="feature.width" :height="feature.height" fill="var(--color-rail)" stroke="var(--color-ink-soft)" vector-effect="non-scaling-stroke" />
          <template v-for="array in way.plan.arrays" :key="array.id">
            <rect v-for="position in array.positions" :key="position.id" :x="position.outer.x" :y="-position.outer.y - position.outer.height" :width="position.outer.width" :height="position.outer.height" fill="var(--color-case)" stroke="var(--color-on-case)" stroke-width="1" vector-effect="non-scaling-stroke" />
          </template>
          <path :d="`M-40 0 H${wall.width + 40}`" stroke="var(--color-ink)" stroke-width="3" vector-effect="non-scaling-stroke" />
        </svg>
        <dl class="mt-2 text-sm">
          <div v-for="line in way.lines" :key="line.what" class="flex justify-between gap-3 border-t border-hair py-1">
            <dt>{{ line.what }}</dt><dd class="figures text-right font-semibold">
              {{ line.text }}
            </dd>
          </div>
        </dl>
      </article>
    </div>
  </section>
</template>
