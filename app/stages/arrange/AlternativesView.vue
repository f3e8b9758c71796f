<script setup lang="ts">
import { compareWall } from '~~/core/arrange'
import type { Alternative, Wall } from '~~/core/job'
import type { WallPlan } from '~~/core/plan'
import { Cancelled } from '~/workers/pool'
import { tellsHere, useStudies } from '~/workers/useStudies'

/** The alternatives of a wall beside each other: as drawings, and by the figures that a client weighs. */
const store = useWallStore()
const { tell, system } = useUnits()
const { built, context } = useWallPlan()
const studies = useStudies()
/** How far the alternatives are planned, 0 to 1. */
const progress = ref(1)
const failed = ref('')
const ways = shallowRef<{ id: string, name: string, plan: WallPlan, lines: { what: string, text: string }[] }[]>([])
function wayOf({ id, name }: Alternative, wall: Wall, plan: WallPlan) {
  const holes = plan.arrays.reduce(
    (sum, { positions }) => sum + positions.reduce((n, position) => n + (position.holes?.length ?? 0), 0),
    0,
  )
  const stops = plan.findings.filter(({ severity }) => severity === 'stop').length
  return {
    id,
    name,
    plan,
    lines: compareWall(wall, store.catalogue, holes, stops).map(({ what, text }) => ({ what, text: tell(text) })),
  }
}
watch([() => store.wall, system], async ([wall], _, onCleanup) => {
  const outdated = new AbortController()
  onCleanup(() => outdated.abort())
  const alternatives = wall?.alternatives ?? []
  const walls = alternatives.map(alternative => wallWith(wall!, alternative))
  failed.value = ''
  progress.value = 0
  try {
    const plans = await studies.run(
      api =>
        api.plans(
          walls.map(toRaw),
          context.value,
          built.value,
          tellsHere(async (share) => {
            progress.value = share
          }),
        ),
      outdated.signal,
    )
    ways.value = alternatives.map((alternative, n) => wayOf(alternative, walls[n]!, plans[n]!))
  }
  catch (error) {
    if (!(error instanceof Cancelled)) failed.value = (error as Error).message
  }
}, { immediate: true })
const wall = computed(() => store.wall!)
</script>

<template>
  <section class="h-full overflow-auto p-4" tabindex="0" aria-label="Alternatives" data-testid="alternatives">
    <p class="mb-2 text-xs text-ink-soft">
      Each alternative as planned now; lengths in {{ system === 'metric' ? 'mm' : 'feet and inches' }}. Show one to edit
      it; choose one for the client.
    </p>
    <p v-if="failed" class="field-fault" role="alert">
      {{ failed }}
    </p>
    <progress v-if="progress < 1" class="mb-2 w-full" :value="progress" aria-label="Calculating alternatives" />
    <div class="grid gap-4" :style="{ gridTemplateColumns: `repeat(${Math.max(ways.length, 1)}, minmax(220px, 1fr))` }">
      <article v-for="way in ways" :key="way.id" class="bg-board p-3" :data-way="way.id">
        <h2 class="flex items-baseline justify-between text-lg font-bold">
          {{ way.name }} <span
            class="text-xs font-normal text-ink-soft"
          >{{ [way.id === wall.alternative ? 'shown'
            : '', way.id === wall.chosen ? 'chosen' : ''].filter(Boolean).join(', ') }}</span>
        </h2>
        <svg
          :viewBox="`-40 ${-wall.height - 40} ${wall.width + 80} ${wall.height + 80}`"
          class="mt-2 max-h-72 w-full"
          role="img"
          :aria-label="`Elevation of ${way.name}`"
        >
          <rect
            x="0"
            :y="-wall.height"
            :width="wall.width"
            :height="wall.height"
            fill="var(--color-wall)"
            stroke="var(--color-ink)"
            stroke-width="1.5"
            vector-effect="non-scaling-stroke"
          />
          <rect
            v-for="feature in wall.features"
            :key="feature.id"
            :x="feature.x"
            :y="-feature.y - feature.height"
            :width="feature.width"
            :height="feature.height"
            fill="var(--color-rail)"
            stroke="var(--color-ink-soft)"
            vector-effect="non-scaling-stroke"
          />
          <template v-for="array in way.plan.arrays" :key="array.id">
            <rect
              v-for="position in array.positions"
              :key="position.id"
              :x="position.outer.x"
              :y="-position.outer.y - position.outer.height"
              :width="position.outer.width"
              :height="position.outer.height"
              fill="var(--color-case)"
              stroke="var(--color-on-case)"
              stroke-width="1"
              vector-effect="non-scaling-stroke"
            />
          </template>
          <path
            :d="`M-40 0 H${wall.width + 40}`"
            stroke="var(--color-ink)"
            stroke-width="3"
            vector-effect="non-scaling-stroke"
          />
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
